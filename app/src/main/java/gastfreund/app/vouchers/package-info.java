/**
 * Vouchers and passes: for sale, issued, used and given back.
 *
 * <p>Called by: whoever sells or takes them. Its door: {@link gastfreund.app.vouchers.PrepaidService}.
 */
@NullMarked
package gastfreund.app.vouchers;

import org.jspecify.annotations.NullMarked;
