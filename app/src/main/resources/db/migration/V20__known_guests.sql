-- Guests are found by the beginnings of the words of their names, addresses and numbers. Whoever is forgotten goes from here at
-- once, and is not left in what was written before.
CREATE VIRTUAL TABLE known_guests USING fts5 (
    name, email, phone, content = 'orders', content_rowid = 'id', tokenize = 'unicode61 remove_diacritics 2'
);

INSERT INTO known_guests (known_guests, rank) VALUES ('secure-delete', 1);
INSERT INTO known_guests (known_guests) VALUES ('rebuild');

CREATE TRIGGER known_guests_in AFTER INSERT ON orders BEGIN
    INSERT INTO known_guests (rowid, name, email, phone) VALUES (new.id, new.name, new.email, new.phone);
END;

CREATE TRIGGER known_guests_out AFTER DELETE ON orders BEGIN
    INSERT INTO known_guests (known_guests, rowid, name, email, phone)
    VALUES ('delete', old.id, old.name, old.email, old.phone);
END;

CREATE TRIGGER known_guests_changed AFTER UPDATE OF name, email, phone ON orders BEGIN
    INSERT INTO known_guests (known_guests, rowid, name, email, phone)
    VALUES ('delete', old.id, old.name, old.email, old.phone);
    INSERT INTO known_guests (rowid, name, email, phone) VALUES (new.id, new.name, new.email, new.phone);
END;

-- With triggers on its parent, the rows that refer to an order are looked at when one is placed.
CREATE INDEX prepaid_uses_by_order ON prepaid_uses (order_id);
