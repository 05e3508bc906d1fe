package gastfreund.standins;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The way to each stand-in. */
@Controller
class StandinsController {

    @GetMapping("/")
    String index() {
        return "standins/index";
    }
}
