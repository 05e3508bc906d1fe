package gastfreund.app.pages;

/** An amount under its name: a rung of the ladder that shows what something comes to. */
public record Rung(String name, String amount, Look look) {

    /** How it stands out. */
    public enum Look {
        PLAIN(""),
        SMALL("small quiet"),
        TOTAL("total"),
        DUE("due"),
        DUE_BELOW("due pt-3");

        private final String classes;

        Look(String classes) {
            this.classes = classes;
        }

        public String classes() {
            return classes;
        }
    }

    public static Rung of(String name, String amount) {
        return new Rung(name, amount, Look.PLAIN);
    }

    public static Rung of(String name, String amount, Look look) {
        return new Rung(name, amount, look);
    }
}
