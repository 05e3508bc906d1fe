/**
 * What the house offers, set at the desk: the list of offers, and the editor of each in sentences beside the guest's own
 * panel.
 *
 * <p>Called by: nobody; it has pages. Its door: {@link gastfreund.app.offerdesk.OfferPages}.
 */
@NullMarked
package gastfreund.app.offerdesk;

import org.jspecify.annotations.NullMarked;
