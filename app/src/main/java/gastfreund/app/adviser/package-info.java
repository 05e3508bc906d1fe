/**
 * What a tax adviser asks for, month by month: receipts and credit notes, payments, vouchers ({@code docs/figures.md}).
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.adviser.Adviser}.
 */
@NullMarked
package gastfreund.app.adviser;

import org.jspecify.annotations.NullMarked;
