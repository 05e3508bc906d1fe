/**
 * How hosts come in: invitations, their own sign-in and second factor, and for the owner who they are and where they are signed in.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.access.Invitations}.
 */
@NullMarked
package gastfreund.app.access;

import org.jspecify.annotations.NullMarked;
