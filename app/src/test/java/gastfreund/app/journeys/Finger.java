package gastfreund.app.journeys;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;

/** One finger on a screen. */
final class Finger {

    private static final int STEPS = 10;

    private final CDPSession session;
    private double fromX;
    private double fromY;

    Finger(Page page) {
        session = page.context().newCDPSession(page);
    }

    private void send(String type, JsonArray points) {
        JsonObject event = new JsonObject();
        event.addProperty("type", type);
        event.add("touchPoints", points);
        session.send("Input.dispatchTouchEvent", event);
    }

    private static JsonArray at(double x, double y) {
        JsonObject point = new JsonObject();
        point.addProperty("x", x);
        point.addProperty("y", y);
        JsonArray points = new JsonArray();
        points.add(point);
        return points;
    }

    void down(double x, double y) {
        fromX = x;
        fromY = y;
        send("touchStart", at(x, y));
    }

    /** As a finger does, a little at a time. */
    void move(double x, double y) {
        for (int step = 1; step <= STEPS; step++) {
            send("touchMove", at(fromX + (x - fromX) * step / STEPS, fromY + (y - fromY) * step / STEPS));
        }
        fromX = x;
        fromY = y;
    }

    void up() {
        send("touchEnd", new JsonArray());
    }
}
