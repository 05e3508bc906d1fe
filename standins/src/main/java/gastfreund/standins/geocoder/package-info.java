/** A geocoder that knows the streets of a made-up town. */
@NullMarked
package gastfreund.standins.geocoder;

import org.jspecify.annotations.NullMarked;
