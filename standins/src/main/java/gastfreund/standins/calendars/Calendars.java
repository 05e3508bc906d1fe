package gastfreund.standins.calendars;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentSkipListMap;
import org.springframework.stereotype.Component;

/** What stands in the two calendars. */
@Component
class Calendars {

    /** Whose they are. */
    static final List<String> PEOPLE = List.of("mira", "jonte");

    private final Map<String, Map<String, Entry>> entries = new TreeMap<>();

    Calendars() {
        PEOPLE.forEach(p -> entries.put(p, new ConcurrentSkipListMap<>()));
    }

    boolean has(String person) {
        return entries.containsKey(person);
    }

    Collection<Entry> of(String person) {
        return entries.getOrDefault(person, Map.of()).values();
    }

    Optional<Entry> find(String person, String name) {
        return Optional.ofNullable(entries.getOrDefault(person, Map.of()).get(name));
    }

    void put(String person, Entry entry) {
        entries.getOrDefault(person, new TreeMap<>()).put(entry.name(), entry);
    }

    void remove(String person, String name) {
        entries.getOrDefault(person, new TreeMap<>()).remove(name);
    }

    /** All of a calendar as one file. */
    String file(String person) {
        StringBuilder file =
                new StringBuilder("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Stand-in//Calendars//EN\r\n");
        of(person).forEach(e -> file.append(e.events()));
        return file.append("END:VCALENDAR\r\n").toString();
    }
}
