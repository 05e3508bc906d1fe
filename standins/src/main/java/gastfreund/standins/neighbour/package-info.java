/** A small website of somebody else, made to be hard for whatever stands inside it. */
@NullMarked
package gastfreund.standins.neighbour;

import org.jspecify.annotations.NullMarked;
