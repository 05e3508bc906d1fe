package gastfreund.app.running;

import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.rounds.Condition;
import gastfreund.app.setup.Settings;
import gastfreund.app.tracing.RecentFaults;
import java.lang.management.ManagementFactory;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** Tells the owner in words how the house goes. */
@Controller
@RequestMapping("/desk/running")
class RunningController {

    /** Where more of a part is seen, and can be mended. */
    private static final Map<String, String> WHERE = Map.of(
            "letters", "/desk/letters/sent",
            "gateways", "/desk/payments",
            "calendars", "/desk/busy-times",
            "backup", "/desk/house/files",
            "webhooks", "/desk/webhooks",
            "rounds", "/desk/payments");

    /**
     * @param verdict the whole of it in a sentence
     * @param state of the worst part
     * @param facts about the program and its file
     * @param faults what went wrong since the start, the newest first
     */
    public record RunningPage(String verdict, String state, List<Row> rows, List<String> facts, List<Fault> faults) {}

    /**
     * A part of the house.
     *
     * @param state a code: {@code good}, {@code late}, {@code stuck} or {@code off}
     * @param name of the state, for those who do not see its mark
     * @param where more of it is seen; empty: nowhere
     */
    public record Row(String title, String state, String name, String words, String where) {}

    /** Something that went wrong. */
    public record Fault(String request, String when, String where, String what) {}

    private static final double GIGABYTE = 1_000_000_000;

    private final Running running;
    private final RecentFaults faults;
    private final Settings settings;
    private final Clock clock;

    RunningController(Running running, RecentFaults faults, Settings settings, Clock clock) {
        this.running = running;
        this.faults = faults;
        this.settings = settings;
        this.clock = clock;
    }

    @Needs(Right.WATCH)
    @GetMapping
    String page(Model model) {
        Formats f = Formats.of(model);
        Map<String, Condition> conditions = running.conditions();
        Condition.State worst = Running.worst(conditions);
        model.addAttribute(
                "page",
                new RunningPage(
                        f.text("running.all." + worst.code()),
                        worst.code(),
                        conditions.entrySet().stream()
                                .map(e -> row(e.getKey(), e.getValue(), f))
                                .toList(),
                        facts(f),
                        faults.all().stream()
                                .map(x -> new Fault(x.request(), f.moment(x.at()), x.where(), x.what()))
                                .toList()));
        return "running/running";
    }

    private Row row(String code, Condition condition, Formats f) {
        String state = condition.state().code();
        boolean bad = condition.state() == Condition.State.LATE || condition.state() == Condition.State.STUCK;
        String since = condition.since() == null ? "" : f.moment(condition.since());
        String words = condition.state() == Condition.State.OFF
                ? f.text("running.off." + code)
                : bad && code.equals("backup") && since.isEmpty()
                        ? f.text("running.backupNone")
                        : f.text(
                                (bad ? "running.bad." : "running.good.") + code,
                                condition.waiting(),
                                since,
                                String.join(", ", condition.about()),
                                running.freeBytes() / GIGABYTE);
        return new Row(
                f.text("running.part." + code),
                state,
                f.text("running.state." + state),
                words,
                bad || code.equals("backup") ? WHERE.getOrDefault(code, "") : "");
    }

    private List<String> facts(Formats f) {
        Duration up = Duration.ofMillis(ManagementFactory.getRuntimeMXBean().getUptime());
        Instant since = clock.instant().minus(up);
        Runtime machine = Runtime.getRuntime();
        double used = megabytes(machine.totalMemory() - machine.freeMemory());
        return List.of(
                f.text("running.since", f.moment(since)),
                f.text(
                        "running.file",
                        megabytes(settings.folder()
                                .resolve("house.sqlite")
                                .toFile()
                                .length())),
                f.text("running.memory", used, megabytes(machine.maxMemory())),
                f.text("running.java", Runtime.version().feature()));
    }

    private static double megabytes(long bytes) {
        return bytes / 1_000_000.0;
    }
}
