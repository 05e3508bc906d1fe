package gastfreund.app.sharing;

import gastfreund.app.editing.Sort;
import gastfreund.app.embeds.Embed;
import gastfreund.app.extras.Sharing;
import gastfreund.app.languages.Formats;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

/** Websites that may show the house, line by line: whatever page of one is typed means all of it; {@code *} means any. */
public final class SitesSort implements Sort {

    @Override
    public Optional<JsonNode> read(String typed, Formats f) {
        ArrayNode sites = JSON.arrayNode();
        for (String line :
                typed.lines().map(String::strip).filter(l -> !l.isEmpty()).toList()) {
            String origin =
                    line.equals(Sharing.ANY) ? line : Embed.origin(line.contains("://") ? line : "https://" + line);
            if (origin.isEmpty()) {
                return Optional.empty();
            }
            sites.add(origin);
        }
        return Optional.of(sites);
    }

    @Override
    public String said(JsonNode member, Formats f) {
        return LINES.said(member, f);
    }

    @Override
    public int most() {
        return LINES.most();
    }
}
