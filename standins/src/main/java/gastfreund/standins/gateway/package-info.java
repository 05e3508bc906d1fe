/** The practice gateway: payments by redirect, signed notifications, and cards that behave in known ways. */
@NullMarked
package gastfreund.standins.gateway;

import org.jspecify.annotations.NullMarked;
