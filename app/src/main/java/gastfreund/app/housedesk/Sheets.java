package gastfreund.app.housedesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.catalogue.Tried;
import gastfreund.app.editing.Asking;
import gastfreund.app.editing.Draft;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Editor;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Keeping;
import gastfreund.app.editing.Part;
import gastfreund.app.editing.Sort;
import gastfreund.app.effects.Effects;
import gastfreund.app.effects.FaultWords;
import gastfreund.app.effects.Names;
import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Palette;
import gastfreund.app.pages.Tab;
import gastfreund.app.pictures.PictureField;
import gastfreund.app.pictures.Pictures;
import gastfreund.app.pictures.Taken;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.util.MultiValueMap;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/** Shows sheets, and does what is typed and pressed in them. */
@Component
class Sheets {

    private static final String PAPER = "#fbf7f1";
    private static final String NIGHT = "#1d171f";

    private final Editing editing;
    private final Editor editor;
    private final HouseDocuments documents;
    private final Effects effects;
    private final Names names;
    private final Pictures pictures;

    Sheets(Editing editing, Editor editor, HouseDocuments documents, Effects effects, Names names, Pictures pictures) {
        this.editing = editing;
        this.editor = editor;
        this.documents = documents;
        this.effects = effects;
        this.names = names;
        this.pictures = pictures;
    }

    private Document seen(Host host, Subject subject) {
        return editing.seen(host, subject.ref()).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    /**
     * @param wanted the tab that an address names
     * @param wrongPicture why the last picture was not taken, as the address says it; empty: nobody sent one
     */
    SheetPage page(Host host, Subject subject, String wanted, List<Note> said, String wrongPicture, Formats f) {
        Document seen = seen(host, subject);
        String tab = tab(subject, wanted);
        Tried tried = documents.tryOut(
                editing.draft(host, subject.ref()).map(Draft::document).stream().toList());
        Map<String, String> typed =
                editing.draft(host, subject.ref()).map(Draft::typed).orElseGet(Map::of);
        Asking ask = new Asking(
                subject.table(),
                new Inputs.Seen(seen.json(), FaultWords.at(tried, seen, f), typed),
                names.sentences(f),
                f);
        List<Part> parts = subject.parts(tab, ask);
        List<Note> notes = new ArrayList<>(said);
        notes.addAll(subject.notes(tab, seen, f));
        return new SheetPage(
                subject.title(seen, f),
                subject.address(),
                seen.version() == 0,
                List.copyOf(notes),
                tab,
                subject.tabs().stream()
                        .filter(t -> subject.tabs().size() > 1)
                        .map(t -> new Tab(subject.tabWords(t, f), subject.address() + "?tab=" + t, t.equals(tab)))
                        .toList(),
                parts,
                Part.asked(parts),
                subject.pictures(tab, seen.json()).stream()
                        .map(m -> picture(subject, tab, m, seen, wrongPicture, f))
                        .toList(),
                tab.equals("look") ? samples(seen) : List.of(),
                Inputs.at(seen.json(), "extra/keeping/guestMonths").intValue(36),
                seen.version() > 0 && subject.isDeletable() && !documents.isBooked(subject.ref()),
                effects.of(host, List.of(subject.ref()), f));
    }

    private static String tab(Subject subject, String wanted) {
        return subject.tabs().contains(wanted) ? wanted : subject.tabs().get(0);
    }

    private static PictureField picture(
            Subject subject, String tab, String member, Document seen, String wrong, Formats f) {
        return PictureField.of(
                        Inputs.at(seen.json(), member).stringValue(""),
                        subject.address() + "/picture?tab=" + tab + "&member=" + member,
                        wrong.startsWith(member + ":") ? wrong.substring(member.length() + 1) : "",
                        f)
                .called(member, f.text("sheet.picture." + member.substring(member.lastIndexOf('/') + 1)));
    }

    /** The colours on paper and at night, where they can be read. */
    private static List<SheetPage.Sample> samples(Document seen) {
        String colour = Inputs.at(seen.json(), "extra/look/colour").stringValue(HouseInputs.OURS);
        return Palette.of(colour).filter(Palette::isReadable).stream()
                .flatMap(p -> List.of(
                        new SheetPage.Sample(
                                PAPER,
                                "#2a1f2d",
                                p.onPaper().main(),
                                p.onPaper().on()),
                        new SheetPage.Sample(
                                NIGHT,
                                "#f3ece2",
                                p.atNight().main(),
                                p.atNight().on()))
                        .stream())
                .toList();
    }

    /** Takes in what was typed and pressed; where it goes on, as an address. */
    String type(Host host, Subject subject, MultiValueMap<String, String> form, Formats f) {
        Document seen = seen(host, subject);
        editor.take(host, seen.ref(), form, subject, f);
        editor.press(host, seen.ref(), form, (json, list) -> subject.add(json, list, f));
        String part = "sheet".equals(form.getFirst("fragment")) ? "&fragment=sheet" : "";
        return back(subject, form.getFirst("tab")) + part;
    }

    String keep(Host host, Subject subject, MultiValueMap<String, String> form, Formats f) {
        Keeping keeping = editor.keep(host, seen(host, subject).ref(), form, subject, f);
        return back(subject, form.getFirst("tab")) + keeping.said('&');
    }

    /** @param list where all of its kind stand, for what was never kept */
    String drop(Host host, Subject subject, @Nullable String tab, String list) {
        Document seen = seen(host, subject);
        editing.drop(host, List.of(seen.ref()));
        return seen.version() == 0 ? "redirect:" + list + "?said=dropped" : back(subject, tab) + "&said=dropped";
    }

    /** @param file null: without a picture from now on */
    String picture(Host host, Subject subject, String tab, String member, @Nullable MultipartFile file)
            throws IOException {
        Document seen = seen(host, subject);
        if (!subject.pictures(tab(subject, tab), seen.json()).contains(member)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        String why = "";
        if (file == null) {
            editing.change(host, seen.ref(), json -> Inputs.set(json, member, null), Map.of());
        } else if (file.isEmpty()) {
            why = "none";
        } else {
            Taken taken = pictures.take(file.getBytes());
            why = taken.why();
            if (taken instanceof Taken.In in) {
                editing.change(
                        host, seen.ref(), json -> Inputs.set(json, member, Sort.JSON.stringNode(in.name())), Map.of());
            }
        }
        return back(subject, tab) + (why.isEmpty() ? "" : "&wrong=" + member + ":" + why) + "#picture-" + member;
    }

    private static String back(Subject subject, @Nullable String tab) {
        return "redirect:" + subject.address() + "?tab=" + tab(subject, tab == null ? "" : tab);
    }
}
