package gastfreund.app.extras;

import gastfreund.housefile.BadFileException;
import gastfreund.housefile.HouseFile;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A house file that has every member of {@code extra} once, and can be spoilt everywhere in turn. */
public final class WholeHouse {

    private static final List<String> ODD =
            List.of("5", "-1", "\"\"", "\"~\"", "true", "[]", "[5]", "[\"\"]", "{\"odd\": 1}");

    private final JsonNode json;

    public WholeHouse() {
        try (InputStream file = Objects.requireNonNull(WholeHouse.class.getResourceAsStream("/whole.house.json"))) {
            json = HouseFile.parse(new String(file.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public JsonNode json() {
        return json;
    }

    /** What the application's reader finds wrong with it as it is now. */
    public List<String> problems() {
        try {
            HouseFile.read(json, Extras::of);
            return List.of();
        } catch (BadFileException e) {
            return e.problems().stream().map(Object::toString).toList();
        }
    }

    /**
     * Puts odd things in the place of everything in a part of it in turn, takes it out, and adds something; then puts it back.
     *
     * @param look is told each time what was done
     */
    public void spoil(JsonNode part, String path, Consumer<String> look) {
        if (part instanceof ObjectNode object) {
            for (String name : List.copyOf(object.propertyNames())) {
                JsonNode was = object.get(name);
                for (String odd : ODD) {
                    object.set(name, HouseFile.parse(odd));
                    look.accept(path + "/" + name + " = " + odd);
                }
                object.remove(name);
                look.accept(path + " without " + name);
                object.set(name, was);
                spoil(was, path + "/" + name, look);
            }
            object.put("odd", 1);
            look.accept(path + " with something odd");
            object.remove("odd");
        } else if (part instanceof ArrayNode array) {
            array.forEach(element -> spoil(element, path + "/…", look));
        }
    }
}
