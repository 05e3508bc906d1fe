package gastfreund.app.pictures;

import gastfreund.app.storage.DataFolder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** Serves the house's pictures from its data folder. */
@RestController
class PictureController {

    private final Path folder;

    PictureController(DataFolder data) {
        this.folder = data.pictures();
    }

    @GetMapping("/pictures/{name:[a-z0-9-]+\\.(?:svg|png|jpg|webp)}")
    ResponseEntity<Resource> picture(@PathVariable String name) {
        Path file = folder.resolve(name);
        if (!Files.isRegularFile(file)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        String ending = name.substring(name.lastIndexOf('.') + 1);
        String type =
                switch (ending) {
                    case "svg" -> "image/svg+xml";
                    case "jpg" -> "image/jpeg";
                    default -> "image/" + ending;
                };
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofHours(1)))
                .header("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; sandbox")
                .contentType(MediaType.parseMediaType(type))
                .body(new FileSystemResource(file));
    }
}
