package gastfreund.empty;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** A page application with nothing in it. */
@SpringBootApplication
@Controller
public class Empty {

    public static void main(String[] arguments) {
        SpringApplication.run(Empty.class, arguments);
    }

    @GetMapping("/")
    String page() {
        return "page";
    }
}
