package gastfreund.standins.gateway;

/** The practice cards and what each does. */
public enum Card {
    WORKS("1001 0000 0000 0011", "Works", "The payment goes through at once."),
    REFUSED("1001 0000 0000 0029", "Is refused", "The bank says no."),
    CONFIRM("1001 0000 0000 0037", "Asks for a second confirmation", "The bank wants a yes in its app."),
    SILENT("1001 0000 0000 0045", "Never answers", "The bank does not say a word."),
    UNTOLD("1001 0000 0000 0052", "Works, and nobody is told", "The payment goes through; the notification is lost."),
    TWICE("1001 0000 0000 0060", "Works, told late and twice", "The notification comes seconds late, and then again.");

    private final String number;
    private final String title;
    private final String meaning;

    Card(String number, String title, String meaning) {
        this.number = number;
        this.title = title;
        this.meaning = meaning;
    }

    public String number() {
        return number;
    }

    public String title() {
        return title;
    }

    public String meaning() {
        return meaning;
    }
}
