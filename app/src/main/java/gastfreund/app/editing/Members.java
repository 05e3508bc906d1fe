package gastfreund.app.editing;

import gastfreund.core.hours.HoursException;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.Window;
import gastfreund.housefile.HoursFile;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A document as its members, each a value that is changed as one: {@code name}, {@code terms/move/hoursBefore},
 * {@code hours/weekly/tue} (the windows of a weekday), {@code hours/exceptions/2026-12-24..2027-01-02},
 * {@code lengths/60/price} (in a list whose elements have ids), and {@code lengths/} for the order of such a list. Every other
 * list is one value.
 *
 * <p>Two documents with equal members mean the same; of hours, which weekly window names which days, and exceptions that later
 * ones cover, make no difference.
 */
final class Members {

    private static final String WEEKLY = "hours/weekly/";
    private static final String EXCEPTIONS = "hours/exceptions/";
    private static final String TO = "..";

    private static final Comparator<Window> IN_ORDER = Comparator.comparingInt(Window::from)
            .thenComparingInt(Window::to)
            .thenComparing(Window::deskOnly)
            .thenComparing(w ->
                    w.offers().stream().map(OfferId::value).sorted().toList().toString());

    private Members() {}

    /** Takes a document apart. */
    static Map<String, JsonNode> of(JsonNode document) {
        Map<String, JsonNode> members = new TreeMap<>();
        document.properties().forEach(m -> {
            if (m.getKey().equals("hours")) {
                addHours(members, HoursFile.hoursOf(document));
            } else {
                add(members, m.getKey(), m.getValue());
            }
        });
        return members;
    }

    private static void add(Map<String, JsonNode> members, String path, JsonNode value) {
        if (value.isObject() && !value.isEmpty()) {
            value.properties().forEach(m -> add(members, path + "/" + m.getKey(), m.getValue()));
        } else if (hasIds(value)) {
            ArrayNode order = JsonNodeFactory.instance.arrayNode();
            for (JsonNode element : value) {
                String id = element.get("id").stringValue();
                order.add(id);
                element.properties().forEach(m -> add(members, path + "/" + id + "/" + m.getKey(), m.getValue()));
            }
            members.put(path + "/", order);
        } else {
            members.put(path, value);
        }
    }

    private static boolean hasIds(JsonNode value) {
        if (!value.isArray() || value.isEmpty()) {
            return false;
        }
        Set<String> ids = new LinkedHashSet<>();
        for (JsonNode element : value) {
            String id = element.path("id").stringValue("");
            if (id.isEmpty() || id.contains("/") || !ids.add(id)) {
                return false;
            }
        }
        return true;
    }

    private static void addHours(Map<String, JsonNode> members, Schedule hours) {
        if (hours.weekly().isPresent()) {
            for (DayOfWeek day : DayOfWeek.values()) {
                members.put(WEEKLY + name(day), windows(hours.windowsOn(day)));
            }
        }
        for (HoursException exception : hours.exceptionsApart()) {
            members.put(EXCEPTIONS + exception.from() + TO + exception.to(), windows(exception.windows()));
        }
    }

    /** In order, and each once: neither makes a difference. */
    private static JsonNode windows(List<Window> windows) {
        return HoursFile.written(windows.stream().sorted(IN_ORDER).distinct().toList());
    }

    /** {@code mon}, {@code tue} … */
    static String name(DayOfWeek day) {
        return day.name().substring(0, 3).toLowerCase(Locale.ROOT);
    }

    /** Puts a document together. */
    static ObjectNode document(Map<String, JsonNode> members) {
        ObjectNode document = JsonNodeFactory.instance.objectNode();
        Map<String, JsonNode> orders = new LinkedHashMap<>();
        members.forEach((path, value) -> {
            if (path.endsWith("/")) {
                orders.put(path, value);
            }
        });
        members.forEach((path, value) -> {
            if (!path.startsWith("hours/") && !path.endsWith("/")) {
                put(document, "", path, value, orders);
            }
        });
        Schedule hours = hours(members);
        if (!hours.isAlways()) {
            document.set("hours", HoursFile.written(hours));
        }
        orders.forEach((path, order) -> sort(document, path, order));
        return document;
    }

    private static Schedule hours(Map<String, JsonNode> members) {
        Map<DayOfWeek, List<Window>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            JsonNode windows = members.get(WEEKLY + name(day));
            if (windows != null) {
                week.put(day, HoursFile.windows(windows));
            }
        }
        List<HoursException> exceptions = new ArrayList<>();
        members.forEach((path, windows) -> {
            if (path.startsWith(EXCEPTIONS)) {
                String[] dates = path.substring(EXCEPTIONS.length()).split("\\.\\.");
                exceptions.add(new HoursException(
                        LocalDate.parse(dates[0]), LocalDate.parse(dates[1]), HoursFile.windows(windows)));
            }
        });
        return week.isEmpty() ? Schedule.allDayBut(exceptions) : Schedule.ofWeek(week, exceptions);
    }

    private static void put(ObjectNode owner, String above, String path, JsonNode value, Map<String, JsonNode> orders) {
        int slash = path.indexOf('/');
        if (slash < 0) {
            owner.set(path, value);
            return;
        }
        String name = path.substring(0, slash);
        String rest = path.substring(slash + 1);
        String here = above + name;
        if (orders.containsKey(here + "/")) {
            int next = rest.indexOf('/');
            String id = rest.substring(0, next);
            ArrayNode list = owner.path(name) instanceof ArrayNode given ? given : owner.putArray(name);
            put(element(list, id), here + "/" + id + "/", rest.substring(next + 1), value, orders);
        } else {
            ObjectNode inner = owner.path(name) instanceof ObjectNode given ? given : owner.putObject(name);
            put(inner, here + "/", rest, value, orders);
        }
    }

    private static ObjectNode element(ArrayNode list, String id) {
        for (JsonNode element : list) {
            if (element.path("id").stringValue("").equals(id)) {
                return (ObjectNode) element;
            }
        }
        return list.addObject().put("id", id);
    }

    /** Puts the elements of a list into their order; what is not in it is gone. */
    private static void sort(ObjectNode document, String path, JsonNode order) {
        JsonNode owner = document;
        String[] names = path.split("/");
        for (int i = 0; i < names.length - 1; i++) {
            owner = owner instanceof ArrayNode list ? byId(list, names[i]) : owner.path(names[i]);
        }
        String name = names[names.length - 1];
        if (owner.path(name) instanceof ArrayNode list) {
            ArrayNode sorted = JsonNodeFactory.instance.arrayNode();
            order.forEach(id -> {
                JsonNode element = byId(list, id.stringValue());
                if (!element.isMissingNode()) {
                    sorted.add(element);
                }
            });
            ((ObjectNode) owner).set(name, sorted);
        }
    }

    private static JsonNode byId(ArrayNode list, String id) {
        for (JsonNode element : list) {
            if (element.path("id").stringValue("").equals(id)) {
                return element;
            }
        }
        return JsonNodeFactory.instance.missingNode();
    }
}
