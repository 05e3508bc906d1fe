/**
 * What all pages share: addresses of pages and files, and the answer to whatever went wrong.
 *
 * <p>Called by: everybody with pages or letters. Its door: {@link gastfreund.app.pages.Faults}.
 */
@NullMarked
package gastfreund.app.pages;

import org.jspecify.annotations.NullMarked;
