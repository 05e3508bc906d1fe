-- The language in which a host is written to.
ALTER TABLE hosts ADD COLUMN language TEXT NOT NULL DEFAULT 'en' CHECK (language IN ('en', 'de'));
