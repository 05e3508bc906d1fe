package gastfreund.housefile;

import java.util.List;
import java.util.stream.Collectors;

/** A file that cannot be read; it carries all its problems. */
public final class BadFileException extends RuntimeException {

    private final transient List<Problem> problems;

    public BadFileException(List<Problem> problems) {
        super(problems.stream().map(Problem::toString).collect(Collectors.joining("\n")));
        this.problems = List.copyOf(problems);
    }

    /** The problems of a file, told with its name. */
    BadFileException(String file, List<Problem> problems) {
        super(problems.stream().map(p -> file + ": " + p).collect(Collectors.joining("\n")));
        this.problems = List.copyOf(problems);
    }

    static void throwIfAny(List<Problem> problems) {
        if (!problems.isEmpty()) {
            throw new BadFileException(problems);
        }
    }

    public List<Problem> problems() {
        return problems;
    }
}
