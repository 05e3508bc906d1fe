/**
 * Receipts and credit notes.
 *
 * <p>Called by: whoever changes what an order brings, in the same transaction. Its door: {@link gastfreund.app.documents.Documents}.
 */
@NullMarked
package gastfreund.app.documents;

import org.jspecify.annotations.NullMarked;
