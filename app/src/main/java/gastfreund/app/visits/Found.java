package gastfreund.app.visits;

/**
 * An address that a geocoder knows.
 *
 * @param label how it is written there
 * @param latitude in degrees, north positive
 * @param longitude in degrees, east positive
 */
public record Found(String label, double latitude, double longitude) {

    /** The mean radius of the earth in metres (IUGG). */
    private static final double EARTH = 6_371_008.8;

    /** The distance to another in whole metres, along a great circle. */
    public int metresTo(Found other) {
        double north = Math.toRadians(other.latitude - latitude);
        double east = Math.toRadians(other.longitude - longitude);
        double half = Math.pow(Math.sin(north / 2), 2)
                + Math.cos(Math.toRadians(latitude))
                        * Math.cos(Math.toRadians(other.latitude))
                        * Math.pow(Math.sin(east / 2), 2);
        return (int) Math.round(2 * EARTH * Math.asin(Math.min(1, Math.sqrt(half))));
    }
}
