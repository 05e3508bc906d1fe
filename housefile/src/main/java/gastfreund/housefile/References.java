package gastfreund.housefile;

import java.util.HashSet;
import java.util.Set;

/** The ids that a file has, so that references to others are noted. */
final class References {

    private final Set<String> offers;
    private final Set<String> staff;
    private final Set<String> resources;
    private final Set<String> places;

    References(Node file) {
        offers = idsOf(file, "offers");
        staff = idsOf(file, "staff");
        resources = idsOf(file, "resources");
        places = idsOf(file, "places");
    }

    private static Set<String> idsOf(Node file, String kind) {
        Set<String> ids = new HashSet<>();
        for (var thing : file.json().path(kind)) {
            String id = thing.path("id").asString("");
            if (!ids.add(id)) {
                file.member(kind).ifPresent(n -> n.problem("has two with the id " + id));
            }
        }
        return ids;
    }

    String offer(Node node) {
        return known(node, offers, "offer");
    }

    String staff(Node node) {
        return known(node, staff, "staff member");
    }

    String resource(Node node) {
        return known(node, resources, "resource");
    }

    String place(Node node) {
        return known(node, places, "place");
    }

    private static String known(Node node, Set<String> ids, String what) {
        String id = node.text();
        if (!id.equals("?") && !ids.contains(id)) {
            node.problem("there is no " + what + " " + id);
        }
        return id;
    }
}
