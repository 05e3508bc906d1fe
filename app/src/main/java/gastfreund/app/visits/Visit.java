package gastfreund.app.visits;

import gastfreund.core.offers.PlaceId;
import org.jspecify.annotations.Nullable;

/**
 * Where a booking at its guest's address takes place.
 *
 * @param place the one that it was asked for: another goes from elsewhere
 * @param address as the guest wrote it, in lines
 * @param metres how far it is in a straight line; null where nobody has measured it
 */
public record Visit(PlaceId place, String address, @Nullable Integer metres) {}
