package gastfreund.app.openings;

import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.openings.Answer;
import gastfreund.core.time.Minutes;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What else fits where nothing does: with one thing changed on the same day, or the same on another day. */
@Component
class Alternatives {

    /** How many smaller parties are tried. */
    private static final int SMALLER = 3;

    private static final int MOST = 5;

    private final OpeningsService openings;

    Alternatives(OpeningsService openings) {
        this.openings = openings;
    }

    /** Dates that are looked at, both ends among them. */
    private record Dates(LocalDate first, LocalDate last, Instant now) {}

    /**
     * @param ribbon of the choice; where it has nothing at all, other choices are looked at on all its dates
     * @return at most five; none where the selected date has something, or only the time can be chosen
     */
    List<Panel.Other> of(House house, Choice choice, Ribbon ribbon, Instant now, @Nullable String basket) {
        if (ribbon.selected().isOpen() || choice.moving() != null) {
            return List.of();
        }
        LocalDate date = ribbon.selected().date();
        Optional<Ribbon.Day> later = ribbon.days().stream()
                .filter(Ribbon.Day::isOpen)
                .filter(d -> d.date().isAfter(date))
                .findFirst()
                .or(() -> ribbon.days().stream().filter(Ribbon.Day::isOpen).findFirst());
        LocalDate last = ribbon.days().get(ribbon.days().size() - 1).date();
        Dates dates = later.isPresent()
                ? new Dates(date, date, now)
                : new Dates(ribbon.days().get(0).date(), last, now);
        List<Panel.Other> others = new ArrayList<>();
        if (choice.staff() != null) {
            add(others, house, "staff", "", null, choice.withStaff(null), dates, basket);
        }
        for (PlaceId place : house.placesOf(choice.offer())) {
            if (!place.equals(choice.place())) {
                String name = house.place(place).name();
                add(others, house, "place", name, null, choice.withPlace(place), dates, basket);
            }
        }
        for (Length length : choice.offer().lengths()) {
            if (!length.id().equals(choice.length().id())) {
                add(others, house, "length", "", length.minutes(), choice.withLength(length), dates, basket);
            }
        }
        smaller(house, choice, dates, basket).ifPresent(others::add);
        later.ifPresent(day -> others.add(new Panel.Other(
                "day",
                "",
                null,
                choice.party(),
                day.slots().get(0).time().start(),
                choice.withDay(day.date()).address(basket))));
        return others.stream().limit(MOST).toList();
    }

    private Optional<Panel.Other> smaller(House house, Choice choice, Dates dates, @Nullable String basket) {
        Offer offer = choice.offer();
        for (int party = choice.party() - 1;
                party >= offer.party().min() && party >= choice.party() - SMALLER;
                party--) {
            List<Panel.Other> found = new ArrayList<>();
            add(found, house, "party", "", null, choice.withParty(party), dates, basket);
            if (!found.isEmpty()) {
                return Optional.of(found.get(0));
            }
        }
        return Optional.empty();
    }

    private void add(
            List<Panel.Other> others,
            House house,
            String kind,
            String name,
            @Nullable Minutes minutes,
            Choice choice,
            Dates dates,
            @Nullable String basket) {
        openings
                .openings(choice.within(house), choice.query(dates.first(), dates.last(), dates.now()))
                .entries()
                .stream()
                .filter(Answer.Entry::isOpen)
                .findFirst()
                .ifPresent(entry -> {
                    long start = entry.time().start();
                    others.add(new Panel.Other(
                            kind,
                            name,
                            minutes,
                            choice.party(),
                            start,
                            choice.withDay(house.zone().dateOf(start)).address(basket)));
                });
    }
}
