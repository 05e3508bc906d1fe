package gastfreund.app.household;

import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.editing.Editing;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.pictures.Pictures;
import gastfreund.app.pictures.Taken;
import java.io.IOException;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/** Pictures of people: each comes into the draft, and counts when that is kept. */
@Controller
@RequestMapping("/desk/house/staff/{id}/picture")
class PictureDeskController {

    private final Editing editing;
    private final Pictures pictures;

    PictureDeskController(Editing editing, Pictures pictures) {
        this.editing = editing;
        this.pictures = pictures;
    }

    @Needs(Right.SET_UP)
    @PostMapping
    String take(Host host, @PathVariable String id, @RequestParam(required = false) @Nullable MultipartFile file)
            throws IOException {
        DocumentRef person = person(host, id);
        if (file == null || file.isEmpty()) {
            return back(person, "?picture=none");
        }
        Taken taken = pictures.take(file.getBytes());
        if (taken instanceof Taken.In in) {
            editing.change(host, person, json -> Form.extraOf(json).put("picture", in.name()), Map.of());
            return back(person, "");
        }
        return back(person, "?picture=" + taken.why());
    }

    @Needs(Right.SET_UP)
    @PostMapping("/remove")
    String remove(Host host, @PathVariable String id) {
        DocumentRef person = person(host, id);
        editing.change(host, person, json -> Form.removeExtra(json, "picture"), Map.of());
        return back(person, "");
    }

    private DocumentRef person(Host host, String id) {
        DocumentRef ref = new DocumentRef(Kind.STAFF, id);
        if (editing.seen(host, ref).isEmpty()) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return ref;
    }

    private static String back(DocumentRef person, String said) {
        return "redirect:" + HouseholdPages.address(person) + said + "#picture";
    }
}
