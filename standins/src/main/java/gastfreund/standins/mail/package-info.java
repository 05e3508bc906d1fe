/** A mail server that takes everything in and shows it. */
@NullMarked
package gastfreund.standins.mail;

import org.jspecify.annotations.NullMarked;
