package gastfreund.app.strangers;

/** Other origins to which a form of ours may lead, as the policy of every page names them. */
@FunctionalInterface
public interface Origins {

    /** Origins with a blank between them; nothing is decrypted to tell them. */
    String origins();
}
