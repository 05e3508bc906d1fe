package gastfreund.app.languages;

import java.io.IOException;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Properties;
import java.util.stream.Stream;

/**
 * A language that nobody speaks, made of the English texts: each stands between brackets, its vowels are long and have accents.
 * It is one file, as any other third language.
 */
final class PseudoLanguage {

    static final String TAG = "eo";
    static final char BEGIN = '\u27e6';
    static final char END = '\u27e7';

    private static final String PLAIN = "aeiouAEIOU";
    private static final List<String> LONG = List.of(
            "\u00e0\u00e0",
            "\u00e8\u00e8",
            "\u00ec\u00ec",
            "\u00f2\u00f2",
            "\u00f9\u00f9",
            "\u00c0\u00e0",
            "\u00c8\u00e8",
            "\u00cc\u00ec",
            "\u00d2\u00f2",
            "\u00d9\u00f9");

    private PseudoLanguage() {}

    /** Writes its file into a folder that can stand in a class path. */
    static Path folder(Path texts) throws IOException {
        Properties whole = new Properties();
        try (Stream<Path> bundles = Files.list(texts)) {
            for (Path bundle : bundles.filter(b -> b.toString().matches(".*/[a-z]+\\.properties"))
                    .toList()) {
                Properties english = new Properties();
                try (Reader reader = Files.newBufferedReader(bundle)) {
                    english.load(reader);
                }
                english.forEach((key, text) -> whole.put(key, said((String) key, (String) text)));
            }
        }
        Path folder = Files.createTempDirectory("gastfreund-language");
        Files.createDirectories(folder.resolve("texts"));
        try (var writer = Files.newBufferedWriter(
                folder.resolve("texts").resolve("whole_" + TAG + ".properties"), StandardCharsets.UTF_8)) {
            whole.store(writer, null);
        }
        return folder;
    }

    /** Patterns of dates are no words. */
    private static String said(String key, String text) {
        return key.startsWith("format.") || text.isEmpty() ? text : BEGIN + words(text) + END;
    }

    /** Everything but arguments, tags and links is said in it; of a choice, each of its texts. */
    private static String words(String text) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            char one = text.charAt(i);
            if (one == '{') {
                int end = end(text, i, '{', '}');
                out.append(argument(text.substring(i, end)));
                i = end - 1;
            } else if (one == '[') {
                int end = end(text, i, '[', ']');
                out.append(text, i, end);
                i = end - 1;
            } else {
                int vowel = PLAIN.indexOf(one);
                out.append(vowel < 0 ? String.valueOf(one) : LONG.get(vowel));
            }
        }
        return out.toString();
    }

    private static String argument(String written) {
        int choice = written.indexOf(",choice,");
        if (choice < 0) {
            return written;
        }
        StringBuilder out = new StringBuilder(written.substring(0, choice + 8));
        String parts = written.substring(choice + 8, written.length() - 1);
        int begun = 0;
        int depth = 0;
        for (int i = 0; i <= parts.length(); i++) {
            char one = i == parts.length() ? '|' : parts.charAt(i);
            depth += one == '{' ? 1 : one == '}' ? -1 : 0;
            if (one == '|' && depth == 0) {
                String part = parts.substring(begun, i);
                int limit = 0;
                while ("#<".indexOf(part.charAt(limit)) < 0) {
                    limit++;
                }
                out.append(begun == 0 ? "" : "|").append(part, 0, limit + 1).append(words(part.substring(limit + 1)));
                begun = i + 1;
            }
        }
        return out.append('}').toString();
    }

    private static int end(String text, int from, char open, char close) {
        int depth = 0;
        for (int i = from; i < text.length(); i++) {
            depth += text.charAt(i) == open ? 1 : text.charAt(i) == close ? -1 : 0;
            if (depth == 0) {
                return i + 1;
            }
        }
        return text.length();
    }
}
