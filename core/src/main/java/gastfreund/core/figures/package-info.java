/** What weeks that are over were like ({@code docs/figures.md}). */
@NullMarked
package gastfreund.core.figures;

import org.jspecify.annotations.NullMarked;
