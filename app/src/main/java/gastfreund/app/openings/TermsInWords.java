package gastfreund.app.openings;

import gastfreund.app.languages.Formats;
import gastfreund.core.terms.Keep;
import gastfreund.core.terms.Terms;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** An offer's terms as plain sentences, the longest time before the start first. */
public final class TermsInWords {

    private TermsInWords() {}

    public static List<String> of(Terms terms, Formats f) {
        List<String> sentences = new ArrayList<>();
        if (terms.tiers().isEmpty()) {
            sentences.add(f.text("terms.freeUntilStart"));
        }
        terms.tiers().stream()
                .sorted(Comparator.comparingInt(Terms.Tier::hoursBefore).reversed())
                .forEach(tier -> sentences.add(sentence(tier, f)));
        return List.copyOf(sentences);
    }

    /** One step of the terms as a sentence. */
    public static String sentence(Terms.Tier tier, Formats f) {
        String until = tier.hoursBefore() == 0 ? f.text("terms.untilStart") : f.text("terms.until", before(tier, f));
        Keep keep = tier.keep();
        if (keep instanceof Keep.Share share) {
            return share.percent().value().signum() == 0
                    ? f.text("terms.free", until)
                    : f.text("terms.percent", until, share.percent().toString());
        }
        if (keep instanceof Keep.Amount amount) {
            return f.text("terms.amount", until, f.shortMoney(amount.amount()));
        }
        return f.text(keep instanceof Keep.Deposit ? "terms.deposit" : "terms.all", until);
    }

    private static String before(Terms.Tier tier, Formats f) {
        int hours = tier.hoursBefore();
        return hours % 24 == 0 ? f.text("terms.days", hours / 24) : f.text("terms.hours", hours);
    }
}
