package gastfreund.core.openings;

import gastfreund.core.hours.Audience;
import gastfreund.core.offers.Bounds;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.sessions.Session;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;

/** The rules of a situation, in the order of the table in {@code docs/openings.md}, "Verdict". */
final class Rules {

    /** One thing that can stand against an attempt; rules are asked in the order of the definition's table. */
    interface Rule {

        /** Adds to {@code reasons} what stands against the attempt, nothing where nothing does. */
        void check(Attempt attempt, Reasons reasons);
    }

    private static final long DAY = 1440;

    private final Situation situation;
    private final List<Rule> rules = new ArrayList<>();

    private Rules(Situation situation) {
        this.situation = situation;
    }

    /**
     * All rules that can apply on the dates that are asked for, but {@code fill}, which looks at several options at once.
     *
     * @param withinHours whether every attempt is known to lie inside its hours
     */
    static List<Rule> of(Situation situation, boolean withinHours) {
        Rules rules = new Rules(situation);
        boolean guest = situation.demand.query().audience() == Audience.GUEST;
        if (guest) {
            rules.timeAhead();
            rules.horizon();
            rules.season();
        }
        rules.closed();
        if (situation.offer.hasTimetable()) {
            rules.closures();
            rules.full();
        } else {
            if (!withinHours) {
                rules.hours();
            }
            rules.staffBusy();
            rules.full();
            if (guest) {
                rules.dayLimits();
            }
        }
        rules.seats();
        return List.copyOf(rules.rules);
    }

    private void timeAhead() {
        Instant now = situation.demand.query().now();
        Bounds bounds = situation.offer.bounds();
        Instant earliest = now.plusSeconds(bounds.notice().count() * 60);
        long firstFromNow = Interval.firstMinuteFrom(now);
        long firstAllowed = Interval.firstMinuteFrom(earliest);
        Reason past = new Reason.Past(now);
        Reason notice = new Reason.Notice(earliest);
        // A clock that is set back over midnight can put a minute of a date before its usual beginning.
        if (situation.days.start(situation.firstDay) - DAY >= firstAllowed) {
            return;
        }
        rules.add((attempt, reasons) -> {
            if (attempt.start() < firstFromNow) {
                reasons.add(past);
            } else if (attempt.start() < firstAllowed) {
                reasons.add(notice);
            }
        });
    }

    private void horizon() {
        Instant now = situation.demand.query().now();
        OptionalInt horizon = situation.offer.bounds().horizonDays();
        if (horizon.isPresent()) {
            LocalDate last = situation.house.zone().dateOf(now).plusDays(horizon.getAsInt());
            int lastDay = situation.days.indexOf(last);
            Reason beyond = new Reason.Horizon(last);
            if (situation.lastDay > lastDay) {
                rules.add((attempt, reasons) -> {
                    if (attempt.day() > lastDay) {
                        reasons.add(beyond);
                    }
                });
            }
        }
    }

    private void season() {
        Bounds bounds = situation.offer.bounds();
        boolean always = bounds.inSeason(situation.days.date(situation.firstDay))
                && bounds.inSeason(situation.days.date(situation.lastDay));
        if (!always) {
            Reason season = new Reason.Season(bounds.seasonFrom(), bounds.seasonTo());
            rules.add((attempt, reasons) -> {
                if (!bounds.inSeason(situation.days.date(attempt.day()))) {
                    reasons.add(season);
                }
            });
        }
    }

    private void closed() {
        if (situation.house.hours().exceptions().isEmpty()) {
            return;
        }
        Reason[] byDay = new Reason[situation.days.count()];
        boolean any = false;
        for (int day = situation.firstDay; day <= situation.lastDay; day++) {
            LocalDate date = situation.days.date(day);
            if (situation.house.hours().closedOn(date)) {
                byDay[day] = new Reason.Closed(
                        situation.house.hours().exceptionOn(date).orElseThrow());
                any = true;
            }
        }
        if (any) {
            rules.add((attempt, reasons) -> {
                if (byDay[attempt.day()] != null) {
                    reasons.add(byDay[attempt.day()]);
                }
            });
        }
    }

    private void hours() {
        rules.add((attempt, reasons) -> {
            Option option = attempt.option();
            for (int i = 0; i < option.layers().size() && !reasons.enough(); i++) {
                if (!option.open().get(i).encloses(attempt.start(), attempt.end())) {
                    reasons.add(new Reason.OutsideHours(
                            option.layers().get(i), option.open().get(i)));
                }
            }
        });
    }

    /** In a timetable, hours stand against a session only by a closure of its place, people or resources. */
    private void closures() {
        rules.add((attempt, reasons) -> {
            Option option = attempt.option();
            LocalDate date = situation.days.date(attempt.day());
            for (int i = 0; i < option.layers().size(); i++) {
                Layer layer = option.layers().get(i);
                if (layer.isOfOneThing() && layer.hours().closedOn(date)) {
                    reasons.add(new Reason.OutsideHours(layer, option.open().get(i)));
                }
            }
        });
    }

    private void staffBusy() {
        boolean contested = situation.offer.contested();
        rules.add((attempt, reasons) -> {
            long from = situation.takenFrom(attempt);
            long to = situation.takenTo(attempt);
            Session joined = attempt.joined();
            for (Option.Server server : attempt.option().serving()) {
                boolean busy = server.timeline().taken(from, to, joined);
                if (busy && (!contested || server.fixed().taken(from, to, null))) {
                    reasons.add(new Reason.StaffBusy(
                            server.person(), () -> server.timeline().overlapping(from, to, joined)));
                    if (reasons.enough()) {
                        return;
                    }
                }
            }
        });
    }

    private void full() {
        int party = situation.demand.query().party();
        for (Situation.Need need : situation.needs) {
            rules.add((attempt, reasons) -> {
                int needed = need.needs().of(party, attempt.joined() != null);
                if (needed > 0) {
                    long from = situation.takenFrom(attempt);
                    long to = situation.takenTo(attempt);
                    int taken = need.levels().most(from, to);
                    if (taken + needed > need.units()) {
                        ResourceId resource = need.needs().resource();
                        reasons.add(new Reason.Full(
                                resource,
                                need.units(),
                                taken,
                                needed,
                                () -> situation.taken.takingUnits(resource, from, to)));
                    }
                }
            });
        }
    }

    private void dayLimits() {
        OptionalInt perDay = situation.offer.bounds().perDay();
        OptionalInt minutesPerDay = situation.offer.bounds().minutesPerDay();
        long minutes = situation.demand.longest().count();
        boolean limited = perDay.isPresent()
                || minutesPerDay.isPresent()
                || situation.options.stream()
                        .flatMap(o -> Arrays.stream(o.serving()))
                        .anyMatch(server -> server.sessions() != null);
        if (!limited) {
            return;
        }
        rules.add((attempt, reasons) -> {
            if (attempt.joined() != null) {
                return;
            }
            int day = attempt.day();
            if (perDay.isPresent() && situation.taken.sessionsOn(day) >= perDay.getAsInt()) {
                reasons.add(new Reason.DayLimit(perDay.getAsInt()));
            }
            if (minutesPerDay.isPresent() && situation.taken.minutesOn(day) + minutes > minutesPerDay.getAsInt()) {
                reasons.add(new Reason.DayMinutes(minutesPerDay.getAsInt()));
            }
            for (Option.Server server : attempt.option().serving()) {
                if (server.sessions() != null && server.sessions()[day] >= server.most()) {
                    reasons.add(new Reason.StaffDayLimit(server.person(), server.most()));
                }
            }
        });
    }

    private void seats() {
        if (situation.offer.sharing().shared()) {
            int party = situation.demand.query().party();
            rules.add((attempt, reasons) -> {
                int left = situation.seatsLeft(attempt);
                if (left < party) {
                    reasons.add(new Reason.Seats(left));
                }
            });
        }
    }
}
