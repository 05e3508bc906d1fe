/** What a cancellation or a move costs, by how long before the start ({@code docs/money.md}, section "Terms"). */
@NullMarked
package gastfreund.core.terms;

import org.jspecify.annotations.NullMarked;
