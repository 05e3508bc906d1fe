-- Whether a guest wants to be told of their bookings by text message, too.
ALTER TABLE orders ADD COLUMN texts INTEGER NOT NULL DEFAULT 0 CHECK (texts IN (0, 1));
