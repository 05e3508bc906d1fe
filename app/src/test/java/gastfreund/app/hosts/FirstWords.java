package gastfreund.app.hosts;

/** The word that the console printed, for tests that make a first sign-in. */
public class FirstWords {

    private final FirstWord first;

    FirstWords(FirstWord first) {
        this.first = first;
    }

    public String word() {
        return first.word();
    }
}
