-- A letter is kept as what it says, and written when it goes out. Letters that wait from before are written already:
-- their facts are empty. What went out is kept as it was sent.
ALTER TABLE outbox ADD COLUMN facts TEXT NOT NULL DEFAULT '';
ALTER TABLE outbox ADD COLUMN language TEXT NOT NULL DEFAULT 'en';
