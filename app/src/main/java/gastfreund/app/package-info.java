/** The application: a house's whole shop in one process over one SQLite file. */
@NullMarked
package gastfreund.app;

import org.jspecify.annotations.NullMarked;
