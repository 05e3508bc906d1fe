-- When a basket's guest asked for more time; once.
ALTER TABLE baskets ADD COLUMN extended_at INTEGER;
