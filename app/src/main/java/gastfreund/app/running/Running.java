package gastfreund.app.running;

import gastfreund.app.rounds.Condition;
import gastfreund.app.rounds.Part;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** How the parts of the house go. */
@Service
public class Running {

    private static final List<String> ORDER =
            List.of("letters", "gateways", "calendars", "backup", "webhooks", "rounds", "disk");

    private final List<Part> parts;
    private final RunningStore store;
    private final DiskPart disk;

    Running(List<Part> parts, RunningStore store, DiskPart disk) {
        this.disk = disk;
        this.store = store;
        this.parts = parts.stream()
                .sorted(Comparator.comparingInt((Part part) -> ORDER.indexOf(part.code())))
                .toList();
    }

    /** How much room is left for the house's file. */
    long freeBytes() {
        return disk.freeBytes();
    }

    /** Throws where the house's file does not answer. */
    void ask() {
        store.ask();
    }

    /** The parts, in the order in which they are told of. */
    List<Part> parts() {
        return parts;
    }

    /** How the worst of them goes: what the house does not have, and what is good, are good. */
    static Condition.State worst(Map<String, Condition> conditions) {
        return conditions.values().stream()
                .map(Condition::state)
                .filter(state -> state != Condition.State.OFF)
                .max(Comparator.naturalOrder())
                .orElse(Condition.State.GOOD);
    }

    /** How each goes, by its code. */
    public Map<String, Condition> conditions() {
        Map<String, Condition> conditions = new LinkedHashMap<>();
        parts.forEach(part -> conditions.put(part.code(), part.condition()));
        return conditions;
    }
}
