package gastfreund.app.talks;

import java.time.Instant;

/** What the house noted of a booking for itself. */
public record HouseNote(String words, String who, Instant at) {}
