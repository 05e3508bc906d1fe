package gastfreund.standins.gateway;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where people and tests tell the gateway how to misbehave; one form serves both. */
@Controller
class ControlController {

    private static final List<String> CALLS = List.of("any", "create", "capture", "void", "refund");
    private static final int MOST_CALLS = 1000;

    /** How many of the next calls of a kind fail. */
    record Call(String name, int down) {}

    private final Control control;
    private final Payments payments;

    ControlController(Control control, Payments payments) {
        this.control = control;
        this.payments = payments;
    }

    @GetMapping("/gateway/control")
    String page(Model model) {
        model.addAttribute("tellings", Control.Telling.values());
        model.addAttribute("telling", control.telling());
        model.addAttribute("sayings", Control.Saying.values());
        model.addAttribute("saying", control.saying());
        model.addAttribute("refusal", control.refusal());
        model.addAttribute(
                "calls", CALLS.stream().map(c -> new Call(c, control.down(c))).toList());
        model.addAttribute(
                "payments", payments.all().stream().map(p -> p.told("")).toList());
        return "standins/control";
    }

    /** What is not said goes back to what is usual. */
    @PostMapping("/gateway/control")
    String set(
            @RequestParam(defaultValue = "USUAL") Control.Telling telling,
            @RequestParam(defaultValue = "USUAL") Control.Saying saying,
            @RequestParam(defaultValue = "") String refusal,
            @RequestParam Map<String, String> said) {
        Map<String, Integer> down = new LinkedHashMap<>();
        for (String call : CALLS) {
            String number = said.getOrDefault("down-" + call, "0");
            if (number.matches("\\d{1,4}")) {
                down.put(call, Math.min(MOST_CALLS, Integer.parseInt(number)));
            }
        }
        control.set(telling, saying, refusal.strip(), down);
        return "redirect:/gateway/control";
    }
}
