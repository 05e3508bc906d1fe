/** What a cancellation or a move costs, by how long before the start ({@code docs/money.md}, section "Terms"). */
package gastfreund.core.terms;
