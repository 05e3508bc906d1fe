package gastfreund.housefile;

/**
 * Something wrong in a file.
 *
 * @param path of the member, as {@code offers[2].lengths[0].minutes}
 */
public record Problem(String path, String message) {

    @Override
    public String toString() {
        return (path.isEmpty() ? "the whole" : path) + ": " + message;
    }
}
