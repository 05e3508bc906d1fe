/** A meeting service that makes a room for each reference. */
@NullMarked
package gastfreund.standins.meetings;

import org.jspecify.annotations.NullMarked;
