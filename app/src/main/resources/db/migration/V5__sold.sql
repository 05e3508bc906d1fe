-- What a booking was sold as (docs/house-format.md, "Sold"): what is sold now may be changed, what was sold may not.
ALTER TABLE order_lines ADD COLUMN sold TEXT NOT NULL DEFAULT '';

-- A patch leaves out what is null, such as terms where the offer has none.
UPDATE order_lines SET sold = (
    SELECT json_patch('{}', json_object(
        'title', json_extract(o.definition, '$.title'),
        'lengths', json((SELECT json_group_array(json(l.value)) FROM json_each(o.definition, '$.lengths') l
                    WHERE json_extract(l.value, '$.id') = b.length)),
        'addOns', json((SELECT json_group_array(json(a.value)) FROM json_each(o.definition, '$.addOns') a
                   WHERE json_extract(b.add_ons, '$."' || json_extract(a.value, '$.id') || '"') > 0)),
        'confirm', json_extract(o.definition, '$.confirm'),
        'payment', json_extract(o.definition, '$.payment'),
        'terms', json_extract(o.definition, '$.terms'),
        'taxPercent', json_extract(o.definition, '$.taxPercent'),
        'place', (SELECT json_extract(p.definition, '$.name') FROM places p WHERE p.id = b.place),
        'staff', json((SELECT json_group_object(s.id, json_extract(s.definition, '$.name'))
                  FROM booking_staff bs JOIN staff s ON s.id = bs.staff WHERE bs.booking = b.id))))
    FROM bookings b JOIN offers o ON o.id = b.offer WHERE b.id = order_lines.booking);

-- The rate is a part of it.
ALTER TABLE order_lines DROP COLUMN tax_rate;
