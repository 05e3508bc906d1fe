package gastfreund.standins.shop;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** The shop's counter, as JSON: a shop is opened with a key of a house, shows times, and sells them. */
@RestController
class ShopController {

    private final Map<String, Shop> shops = new ConcurrentHashMap<>();

    /** Opens a shop, or opens it anew. */
    @PostMapping("/shop/{name}")
    void open(
            @PathVariable String name,
            @RequestParam String house,
            @RequestParam String key,
            @RequestParam String offer) {
        shops.put(name, new Shop(new House(house, key), offer));
    }

    @GetMapping("/shop/{name}/times")
    List<Shop.Time> times(@PathVariable String name) {
        return shop(name).times();
    }

    @PostMapping("/shop/{name}/sales")
    Shop.Sale sell(
            @PathVariable String name,
            @RequestParam String start,
            @RequestParam String guest,
            @RequestParam String email,
            @RequestParam String phone) {
        return shop(name).sell(start, guest, email, phone);
    }

    @GetMapping("/shop/{name}/sales")
    List<Shop.Sale> sales(@PathVariable String name) {
        return shop(name).till();
    }

    private Shop shop(String name) {
        Shop shop = shops.get(name);
        if (shop == null) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return shop;
    }
}
