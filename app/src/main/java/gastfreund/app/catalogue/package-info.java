/**
 * What the house sells, with the words and pictures that go with it.
 *
 * <p>Called by: everybody; nobody else reads its tables. Its door: {@link gastfreund.app.catalogue.CatalogueService}.
 */
@NullMarked
package gastfreund.app.catalogue;

import org.jspecify.annotations.NullMarked;
