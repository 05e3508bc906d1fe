package gastfreund.app.byhand;

/** Somebody who has booked before, as they wrote themselves the last time. */
record KnownGuest(String name, String email, String phone) {}
