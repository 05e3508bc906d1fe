package gastfreund.app.payments;

/** A gateway could not be reached, refused, or was not the one it claimed to be. */
public final class GatewayException extends RuntimeException {

    public GatewayException(String message, Throwable cause) {
        super(message, cause);
    }

    public GatewayException(String message) {
        super(message);
    }
}
