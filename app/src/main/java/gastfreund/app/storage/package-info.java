/**
 * The data folder and its one file: how it is written, and how what fits together is read together.
 *
 * <p>Called by: whoever needs a {@link gastfreund.app.storage.Reading}; all others reach the file through stores. Its door: {@link gastfreund.app.storage.Reading}.
 */
@NullMarked
package gastfreund.app.storage;

import org.jspecify.annotations.NullMarked;
