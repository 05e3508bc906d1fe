package gastfreund.app.moves;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Partial;
import gastfreund.app.typed.Minor;
import gastfreund.app.typed.Minute;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.StaffId;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Moving a guest's booking at the desk: whatever the terms say, to whatever time the desk can book. */
@Controller
@RequestMapping("/desk/orders/{number}/bookings/{booking}/move")
class MoveDeskController {

    private static final int MOST_DAYS = 7;

    private final Orders orders;
    private final MovePages pages;
    private final MovePlaces places;
    private final Moves moves;

    MoveDeskController(Orders orders, MovePages pages, MovePlaces places, Moves moves) {
        this.moves = moves;
        this.places = places;
        this.orders = orders;
        this.pages = pages;
    }

    @Needs(Right.MOVE)
    @Partial("panel")
    @GetMapping
    String times(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(required = false) @Nullable String day,
            @RequestParam(required = false) @Nullable String since,
            @RequestParam(required = false) @Nullable String gone,
            Model model) {
        return pages.times(side(number, booking, ""), day, since, gone != null, model);
    }

    /** Where else it could be on some days, and why not there, as JSON. */
    @Needs(Right.MOVE)
    @GetMapping("/places")
    ResponseEntity<MovePlaces.Places> places(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam LocalDate from,
            @RequestParam LocalDate to,
            Model model) {
        if (to.isBefore(from) || to.isAfter(from.plusDays(MOST_DAYS - 1))) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST);
        }
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .body(places.places(side(number, booking, ""), from, to, Formats.of(model)));
    }

    @Needs(Right.MOVE)
    @Partial("change")
    @GetMapping("/to")
    String change(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam @Minute long start,
            @RequestParam(required = false) @Nullable StaffId person,
            @RequestParam(defaultValue = "false") boolean inSpite,
            @RequestParam(required = false) @Nullable LengthId length,
            @RequestParam(defaultValue = "1") int units,
            @RequestParam(defaultValue = "") String board,
            Host host,
            Model model) {
        MovePages.Side side = side(number, booking, board);
        return pages.change(side, start, target(side, person, inSpite, length, units), host, model);
    }

    @Needs(Right.MOVE)
    @PostMapping
    String move(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam @Minute long start,
            @RequestParam @Minor long total,
            @RequestParam(required = false) @Nullable StaffId person,
            @RequestParam(defaultValue = "false") boolean inSpite,
            @RequestParam(required = false) @Nullable LengthId length,
            @RequestParam(defaultValue = "1") int units,
            @RequestParam(defaultValue = "") String board,
            @RequestParam(defaultValue = "false") boolean keepPrice,
            @RequestParam(defaultValue = "false") boolean tell,
            Host host) {
        MovePages.Side side = side(number, booking, board);
        boolean kept = keepPrice || MovePages.mayNotLower(host, side.line(), total);
        return pages.move(
                side,
                new Moves.Wish(
                        Audience.DESK,
                        start,
                        target(side, person, inSpite, length, units),
                        Money.ofMinor(total),
                        kept,
                        tell,
                        side.onBoard(),
                        host.actor()));
    }

    /** @param length null: as long as it is */
    private Moves.Target target(
            MovePages.Side side, @Nullable StaffId person, boolean inSpite, @Nullable LengthId length, int units) {
        Moves.Size size = length == null
                ? null
                : moves.size(side.order(), side.line(), length, units)
                        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return new Moves.Target(person, inSpite, size);
    }

    /** How long it could be, and why not longer, as JSON. */
    @Needs(Right.MOVE)
    @GetMapping("/sizes")
    ResponseEntity<MovePlaces.Sizes> sizes(@PathVariable long number, @PathVariable BookingId booking, Model model) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .body(places.sizes(side(number, booking, ""), Formats.of(model)));
    }

    /** Takes the last move back, with its letters. */
    @Needs(Right.MOVE)
    @PostMapping("/back")
    String takeBack(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String board,
            Host host) {
        return pages.takeBack(side(number, booking, board), host.actor());
    }

    private MovePages.Side side(long number, BookingId booking, String board) {
        return MovePages.Side.ofDesk(orders.byNumberAsked(number), booking, board);
    }
}
