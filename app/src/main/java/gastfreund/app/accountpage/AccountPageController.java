package gastfreund.app.accountpage;

import gastfreund.app.accounts.Account;
import gastfreund.app.accounts.Accounts;
import gastfreund.app.accounts.Entrance;
import gastfreund.app.feeds.Feed;
import gastfreund.app.feeds.Feeds;
import gastfreund.app.feeds.FollowController;
import gastfreund.app.guests.GuestService;
import gastfreund.app.journal.Actor;
import gastfreund.app.languages.Formats;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A guest's account, for whoever is in it. */
@Controller
@RequestMapping("/account")
public class AccountPageController {

    private final AccountPages pages;
    private final Accounts accounts;
    private final Entrance entrance;
    private final GuestService guests;
    private final Feeds feeds;

    AccountPageController(AccountPages pages, Accounts accounts, Entrance entrance, GuestService guests, Feeds feeds) {
        this.pages = pages;
        this.accounts = accounts;
        this.entrance = entrance;
        this.guests = guests;
        this.feeds = feeds;
    }

    @GetMapping
    String page(Account account, Model model) {
        model.addAttribute("page", pages.page(account, List.of(), Formats.of(model)));
        return "accountpage/account";
    }

    @GetMapping("/follow")
    String follow(Account account, Model model) {
        model.addAttribute(
                "page",
                new FollowController.FollowPage(
                        "/account",
                        feeds.known(Feed.guest(account.email())).orElse(""),
                        Formats.of(model).text("follow.back")));
        return "feeds/follow";
    }

    /** Makes an address of the calendar, or another in its place. */
    @PostMapping("/follow")
    String follow(Account account) {
        feeds.renew(Feed.guest(account.email()));
        return "redirect:/account/follow";
    }

    /** All that the house has of its guest. */
    @PostMapping("/data")
    ResponseEntity<String> data(Account account) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"my-data.json\"")
                .contentType(MediaType.APPLICATION_JSON)
                .body(guests.takeOut(account.email(), Actor.GUEST));
    }

    /** Deletes the account, and forgets its guest too where they want that and nothing is still to come. */
    @PostMapping("/delete")
    String delete(
            Account account,
            @RequestParam(defaultValue = "false") boolean forget,
            HttpServletRequest request,
            HttpServletResponse response) {
        boolean forgotten = forget && guests.forget(account.email(), Actor.GUEST);
        accounts.delete(account.email());
        entrance.forget(request, response);
        return "redirect:/account/enter?said=" + (forgotten ? "forgotten" : "deleted");
    }
}
