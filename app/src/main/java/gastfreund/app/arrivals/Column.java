package gastfreund.app.arrivals;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** What a column of a table can be, with words by which heads say so. */
enum Column {
    NAME("name", "guest", "gast", "kunde", "customer", "client"),
    EMAIL("mail"),
    PHONE("phone", "telefon", "mobil", "tel"),
    COMPANY("company", "firma", "organis"),
    OFFER("offer", "service", "angebot", "leistung", "treatment", "class", "kurs"),
    START("start", "date", "datum", "beginn", "when"),
    TIME("time", "uhrzeit", "zeit"),
    END("end", "ende", "until", "bis"),
    LENGTH("length", "duration", "minut", "dauer"),
    PARTY("party", "persons", "people", "guests", "seats", "personen", "plätze", "anzahl", "quantity"),
    STAFF("staff", "with", "employee", "mitarbeiter", "bei", "person"),
    PLACE("place", "location", "room", "ort", "raum"),
    PRICE("price", "total", "amount", "preis", "summe", "betrag"),
    PAID("paid", "bezahlt", "deposit", "anzahlung"),
    NOTES("note", "comment", "notiz", "bemerkung", "anmerkung"),
    NOTHING;

    private final List<String> words;

    Column(String... words) {
        this.words = List.of(words);
    }

    /** The name in forms and tables. */
    String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    static Column of(String code) {
        return Arrays.stream(values())
                .filter(c -> c.code().equals(code))
                .findFirst()
                .orElse(NOTHING);
    }

    /** What columns seem to be, by their heads; each but one time at most. */
    static List<Column> guessed(List<String> heads) {
        Column[] guessed = new Column[heads.size()];
        Arrays.fill(guessed, NOTHING);
        for (Column column : values()) {
            for (int i = 0; i < guessed.length; i++) {
                String head = heads.get(i).toLowerCase(Locale.ROOT);
                if (guessed[i] == NOTHING && column.words.stream().anyMatch(head::contains)) {
                    guessed[i] = column;
                    break;
                }
            }
        }
        return List.of(guessed);
    }
}
