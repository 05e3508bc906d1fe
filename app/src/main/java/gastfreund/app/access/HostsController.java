package gastfreund.app.access;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.hosts.Role;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Languages;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.secondfactor.SecondFactors;
import gastfreund.app.typed.Written;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Who may sign in, as what, and where they are signed in: for the owner. */
@Controller
@RequestMapping("/desk/hosts")
class HostsController {

    private static final int MOST = 254;

    private final HostService hosts;
    private final Invitations invitations;
    private final SecondFactors factors;
    private final HouseDocuments documents;

    HostsController(HostService hosts, Invitations invitations, SecondFactors factors, HouseDocuments documents) {
        this.hosts = hosts;
        this.invitations = invitations;
        this.factors = factors;
        this.documents = documents;
    }

    /**
     * What the page shows.
     *
     * @param invited those who have not come yet
     * @param invite the fields of a new invitation
     */
    public record HostsPage(List<Note> notes, List<Row> hosts, List<Invited> invited, List<Field> invite) {}

    /**
     * A host.
     *
     * @param facts in a line
     * @param self whether it is whoever looks
     */
    public record Row(
            long id,
            String name,
            String facts,
            boolean self,
            List<Field> fields,
            boolean secondFactor,
            List<AccountController.SessionRow> sessions) {}

    public record Invited(String mark, String email, String facts) {}

    @Needs(Right.ROLES)
    @GetMapping
    String page(
            Host host,
            @RequestParam(required = false) @Nullable String said,
            @RequestParam(defaultValue = "") String person,
            Model model) {
        Formats f = Formats.of(model);
        List<Note> notes = said == null
                ? List.of()
                : f
                        .words()
                        .find("said." + said)
                        .map(w -> said.equals("last-owner") ? Note.bad(w) : Note.done(w))
                        .stream()
                        .toList();
        return show(host, notes, "", person, "", model);
    }

    private String show(Host self, List<Note> notes, String email, String person, String wrong, Model model) {
        Formats f = Formats.of(model);
        List<Row> rows =
                hosts.all().stream().map(h -> row(h, h.id() == self.id(), f)).toList();
        List<Invited> invited = invitations.open().stream()
                .map(i -> new Invited(
                        i.mark(),
                        i.email(),
                        f.text("hosts.invitedUntil", f.text("role." + i.role().code()), f.moment(i.expires()))))
                .toList();
        List<Field> invite = List.of(
                Field.email("email", f.text("checkout.email"))
                        .with("autocomplete", "off")
                        .value(email)
                        .wrong(wrong),
                role("invite-role", Role.STAFF, f),
                person("invite-person", person, f),
                Field.select("language", f.text("account.languageOf"), AccountController.languages())
                        .value(f.locale().getLanguage()));
        model.addAttribute("page", new HostsPage(notes, rows, invited, invite));
        return "access/hosts";
    }

    private Row row(Host host, boolean self, Formats f) {
        String facts = host.email() + " · " + f.text("role." + host.role().code());
        return new Row(
                host.id(),
                host.name(),
                facts,
                self,
                List.of(role("role-" + host.id(), host.role(), f), person("person-" + host.id(), host.person(), f)),
                factors.isOn(host.id()),
                hosts.sessions(host).stream()
                        .map(s -> AccountController.SessionRow.of(s, f))
                        .toList());
    }

    private static Field role(String id, Role role, Formats f) {
        return Field.select(
                        "role",
                        f.text("hosts.role"),
                        Arrays.stream(Role.values())
                                .map(r -> Field.Option.of(r.code(), f.text("role." + r.code())))
                                .toList())
                .id(id)
                .value(role.code());
    }

    private Field person(String id, String person, Formats f) {
        List<Field.Option> people = new ArrayList<>(List.of(Field.Option.of("", f.text("hosts.nobody"))));
        for (Document one : documents.all(Kind.STAFF)) {
            if (!one.isRetired()) {
                people.add(Field.Option.of(one.ref().id(), one.name()));
            }
        }
        return Field.select("person", f.text("hosts.person"), people).id(id).value(person);
    }

    @Needs(Right.ROLES)
    @PostMapping("/invite")
    String invite(
            Host host,
            @RequestParam(defaultValue = "") String email,
            @RequestParam(defaultValue = "staff") String role,
            @RequestParam(defaultValue = "") String person,
            @RequestParam(defaultValue = "en") String language,
            Model model) {
        Formats f = Formats.of(model);
        Invitations.Invited invited = invitations.invite(
                host,
                Written.line(email, MOST),
                role(role),
                known(person),
                Languages.spoken(Locale.forLanguageTag(language)));
        return switch (invited) {
            case INVITED -> "redirect:/desk/hosts?said=invited";
            case NO_ADDRESS -> show(
                    host, List.of(), Written.line(email, MOST), person, f.text("welcome.email.wrong"), model);
            case HOST_ALREADY -> show(
                    host, List.of(), Written.line(email, MOST), person, f.text("hosts.already"), model);
        };
    }

    private static Role role(String code) {
        return Arrays.stream(Role.values())
                .filter(r -> r.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.BAD_REQUEST));
    }

    private String known(String person) {
        boolean known =
                documents.all(Kind.STAFF).stream().anyMatch(d -> d.ref().id().equals(person));
        return known ? person : "";
    }

    @Needs(Right.ROLES)
    @PostMapping("/withdraw")
    String withdraw(@RequestParam(defaultValue = "") String mark) {
        invitations.withdraw(mark);
        return "redirect:/desk/hosts?said=withdrawn";
    }

    @Needs(Right.ROLES)
    @PostMapping("/{number}/role")
    String setRole(
            @PathVariable long number,
            @RequestParam(defaultValue = "staff") String role,
            @RequestParam(defaultValue = "") String person) {
        boolean done = hosts.setRole(number, role(role), known(person));
        return "redirect:/desk/hosts?said=" + (done ? "role" : "last-owner");
    }

    @Needs(Right.ROLES)
    @PostMapping("/{number}/remove")
    String remove(@PathVariable long number) {
        return "redirect:/desk/hosts?said=" + (hosts.remove(number) ? "removed" : "last-owner");
    }

    /** Ends a session; whoever sits there has to sign in again. */
    @Needs(Right.ROLES)
    @PostMapping("/end-session")
    String endSession(@RequestParam(defaultValue = "") String id) {
        hosts.endSession(id);
        return "redirect:/desk/hosts?said=session";
    }

    /** Somebody has lost their telephone and their spare codes. */
    @Needs(Right.ROLES)
    @PostMapping("/{number}/second-factor-off")
    String secondFactorOff(@PathVariable long number) {
        factors.turnOff(number);
        return "redirect:/desk/hosts?said=factor-off";
    }
}
