package gastfreund.app.wording;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.MustacheException;
import com.samskivert.mustache.Template;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What stands for something in a letter's text: {@code {{guest}}}, and {@code {{#left}}…{{/left}}} around what is said only
 * where there is something of it. Logic there is none (Mustache).
 */
public final class Tags {

    /** All that there are, in the order in which they are offered. */
    public static final List<String> ALL = List.of(
            "guest",
            "offer",
            "when",
            "start",
            "place",
            "directions",
            "people",
            "party",
            "price",
            "paid",
            "left",
            "leftBy",
            "answers",
            "bookingPage",
            "payPage",
            "joinLink",
            "freeUntil",
            "reason",
            "house");

    private static final Mustache.Compiler COMPILER =
            Mustache.compiler().escapeHTML(false).emptyStringIsFalse(true).defaultValue("");

    private Tags() {}

    /** What is wrong with a text, as the reader of house files says it; empty: nothing. */
    public static Optional<String> wrong(String text) {
        Set<String> unknown = new TreeSet<>();
        try {
            COMPILER.compile(text).visit(new Names(unknown));
        } catch (MustacheException e) {
            return Optional.of("must have tags that are closed");
        }
        return unknown.isEmpty()
                ? Optional.empty()
                : Optional.of("has the unknown tag {{" + unknown.iterator().next() + "}}");
    }

    /** A text with what its tags stand for; those that say nothing are left out. */
    public static String filled(String text, Map<String, String> values) {
        Template template = COMPILER.compile(text);
        return template.execute(values);
    }

    private static final class Names implements Mustache.Visitor {

        private final Set<String> unknown;

        Names(Set<String> unknown) {
            this.unknown = unknown;
        }

        private boolean seen(String name) {
            if (!ALL.contains(name)) {
                unknown.add(name);
            }
            return true;
        }

        @Override
        public void visitText(String text) {
            // Nothing in it stands for anything.
        }

        @Override
        public void visitVariable(String name) {
            seen(name);
        }

        @Override
        public boolean visitInclude(String name) {
            unknown.add(">" + name);
            return false;
        }

        @Override
        public boolean visitSection(String name) {
            return seen(name);
        }

        @Override
        public boolean visitInvertedSection(String name) {
            return seen(name);
        }
    }
}
