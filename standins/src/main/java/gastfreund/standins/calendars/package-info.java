/** A calendar server with two people's calendars, on pages and by CalDAV's rules for reading and writing single events. */
@NullMarked
package gastfreund.standins.calendars;

import org.jspecify.annotations.NullMarked;
