/** A gateway for text messages, and telephones that show what arrived. */
@NullMarked
package gastfreund.standins.texts;

import org.jspecify.annotations.NullMarked;
