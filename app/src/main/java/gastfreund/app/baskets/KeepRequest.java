package gastfreund.app.baskets;

import gastfreund.app.openings.Choice;

/**
 * A wish to keep a place.
 *
 * @param start in minutes since the epoch
 * @param price what the guest was shown, in minor units; null: any
 */
public record KeepRequest(Choice choice, long start, Long price) {}
