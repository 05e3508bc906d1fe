package gastfreund.app.files;

import java.util.List;

/** A file that cannot come in; it carries why, each in a sentence. */
final class UnfitFileException extends RuntimeException {

    private final transient List<String> reasons;

    UnfitFileException(List<String> reasons) {
        super(String.join("; ", reasons));
        this.reasons = List.copyOf(reasons);
    }

    List<String> reasons() {
        return reasons;
    }
}
