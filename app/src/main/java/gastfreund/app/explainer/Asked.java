package gastfreund.app.explainer;

import gastfreund.app.openings.Choice;
import gastfreund.core.hours.Audience;
import gastfreund.core.openings.Query;
import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/** What is asked: a choice of an offer, its day, and by whom. */
record Asked(Choice choice, LocalDate day, Audience audience) {

    String address(@Nullable Long at) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath("/desk/explain")
                .queryParam("offer", choice.offer().id())
                .queryParam("length", choice.length().id())
                .queryParam("party", choice.party())
                .queryParam("day", day);
        if (choice.length().maxUnits() > 1) {
            uri.queryParam("units", choice.units());
        }
        if (choice.staff() != null) {
            uri.queryParam("staff", choice.staff());
        }
        if (choice.place() != null) {
            uri.queryParam("place", choice.place());
        }
        if (audience == Audience.DESK) {
            uri.queryParam("as", "desk");
        }
        if (at != null) {
            uri.queryParam("at", at);
        }
        return uri.build().toUriString();
    }

    Asked with(Choice other) {
        return new Asked(other, day, audience);
    }

    Asked on(LocalDate date) {
        return new Asked(choice, date, audience);
    }

    /** The question about another choice on the same day. */
    Query query(Choice other, Instant now) {
        return other.query(day, day, now).askedBy(audience);
    }
}
