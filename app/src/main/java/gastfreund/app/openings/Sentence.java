package gastfreund.app.openings;

import java.util.List;
import java.util.stream.Collectors;

/** A sentence at the desk, with what it is about. */
public record Sentence(String words, List<Link> links) {

    /** @param address empty: it leads nowhere */
    public record Link(String address, String words) {}

    public static Sentence of(String words) {
        return new Sentence(words, List.of());
    }

    /** The whole of it as text. */
    public String whole() {
        return links.isEmpty() || !words.endsWith(":")
                ? words
                : words + " " + links.stream().map(Link::words).collect(Collectors.joining("; "));
    }
}
