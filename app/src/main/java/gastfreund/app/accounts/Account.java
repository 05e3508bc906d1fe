package gastfreund.app.accounts;

import java.time.Instant;

/**
 * A guest's account.
 *
 * @param email in small letters; whatever was booked under it belongs to the account
 * @param handle what passkeys know it by, which says nothing of its guest
 * @param hasPassword whether one was set
 */
public record Account(long id, String email, String handle, boolean hasPassword, Instant made) {}
