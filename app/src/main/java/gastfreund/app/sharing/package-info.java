/**
 * The desk's page of how the house stands on other people's websites: what is shown there and how it looks, the lines to copy,
 * codes for paper, lines for mails and chats, looks kept under names, and the sites on which it may stand.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.sharing.SitesSort}.
 */
@NullMarked
package gastfreund.app.sharing;

import org.jspecify.annotations.NullMarked;
