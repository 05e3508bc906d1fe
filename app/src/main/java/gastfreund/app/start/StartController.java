package gastfreund.app.start;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Outbox;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import gastfreund.core.offers.Offer;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The first hour of a house. */
@Controller
@RequestMapping("/desk/start")
class StartController {

    private final StartPages pages;
    private final Starting starting;
    private final CatalogueService catalogues;
    private final Orders orders;
    private final Outbox outbox;

    StartController(StartPages pages, Starting starting, CatalogueService catalogues, Orders orders, Outbox outbox) {
        this.pages = pages;
        this.starting = starting;
        this.catalogues = catalogues;
        this.orders = orders;
        this.outbox = outbox;
    }

    @Needs(Right.SET_UP)
    @GetMapping
    String start(Host host, Model model) {
        if (!starting.isBare()) {
            return "redirect:/desk/start/next";
        }
        Formats f = Formats.of(model);
        Answers usual = new Answers("", f.text("start.usualMinutes"), "", "1", f.text("start.usualWeek"), "venue");
        model.addAttribute("page", pages.page(host, usual, false, List.of(), f));
        return "start/start";
    }

    /** The page with what was typed, which counts for nothing yet. */
    @Needs(Right.SET_UP)
    @PostMapping
    @Partial("start")
    String typed(Host host, @ModelAttribute Answers answers, Model model) {
        model.addAttribute("page", pages.page(host, answers, false, List.of(), Formats.of(model)));
        return "start/start";
    }

    @Needs(Right.SET_UP)
    @PostMapping("/open")
    String open(Host host, @ModelAttribute Answers answers, Model model) {
        Formats f = Formats.of(model);
        if (starting.open(host, answers, f)) {
            return "redirect:/desk/start/next";
        }
        model.addAttribute("page", pages.page(host, answers, true, List.of(Note.bad(f.text("checkout.wrong"))), f));
        return "start/start";
    }

    @Needs(Right.SET_UP)
    @GetMapping("/next")
    String next(@RequestParam(required = false) @Nullable String said, Model model) {
        if (starting.isBare()) {
            return "redirect:/desk/start";
        }
        Formats f = Formats.of(model);
        Catalogue catalogue = catalogues.catalogue();
        List<Order> booked = orders.newest(1);
        model.addAttribute(
                "page",
                new NextPage(
                        Note.said(said, f.words()).stream().toList(),
                        catalogue.listed().stream()
                                .findFirst()
                                .map(Offer::id)
                                .map(id -> "/offers/" + id)
                                .orElse("/"),
                        catalogue.opening().isForEverybody(),
                        booked.isEmpty() ? "" : "/bookings/" + booked.get(0).token(),
                        booked.isEmpty()
                                ? List.of()
                                : outbox.written(booked.get(0).id()).stream()
                                        .map(w -> new NextPage.Shown(
                                                w.letter().recipient(),
                                                w.written().subject(),
                                                w.written().text()))
                                        .toList(),
                        todo(catalogue, f)));
        return "start/next";
    }

    private List<NextPage.Todo> todo(Catalogue catalogue, Formats f) {
        List<NextPage.Todo> todo = new ArrayList<>();
        Offer first = catalogue.house().onSale().get(0);
        if (!outbox.canSend()) {
            todo.add(new NextPage.Todo(f.text("start.todo.mail"), "/desk/mail"));
        }
        if (catalogue.storyOf(first).summary().isEmpty()
                || !catalogue.storyOf(first).hasPicture()) {
            todo.add(new NextPage.Todo(f.text("start.todo.story"), "/desk/offers/" + first.id() + "?tab=what"));
        }
        if (first.terms().tiers().isEmpty()) {
            todo.add(new NextPage.Todo(f.text("start.todo.terms"), "/desk/offers/" + first.id() + "?tab=money"));
        }
        if (catalogue.extras().about().logo().isEmpty()
                || catalogue.extras().about().contact().isEmpty()) {
            todo.add(new NextPage.Todo(f.text("start.todo.about"), "/desk/house/about"));
        }
        if (catalogue.checkout().texts().isEmpty()) {
            todo.add(new NextPage.Todo(f.text("start.todo.texts"), "/desk/house/about?tab=texts"));
        }
        if (catalogue.extras().sharing().sites().isEmpty()) {
            todo.add(new NextPage.Todo(f.text("start.todo.website"), "/desk/house/sharing"));
        }
        if (!catalogue.extras().legal().isWhole()) {
            todo.add(new NextPage.Todo(f.text("start.todo.legal"), "/desk/house/about?tab=papers"));
        }
        todo.add(new NextPage.Todo(f.text("start.todo.people"), "/desk/house"));
        todo.add(new NextPage.Todo(f.text("start.todo.ways"), "/desk/ways"));
        return todo;
    }

    @Needs(Right.SET_UP)
    @PostMapping("/everybody")
    String everybody(Host host) {
        return "redirect:/desk/start/next" + (starting.openToEverybody(host) ? "?said=open" : "");
    }
}
