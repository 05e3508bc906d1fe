package gastfreund.standins.mail;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.BiConsumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Stands before the mail server, passes on what is said in SMTP (RFC 5321), and answers itself where a mail is not taken. */
final class Porter implements AutoCloseable {

    private static final Pattern ADDRESS = Pattern.compile("(?i)^(?:RCPT TO|MAIL FROM):\\s*<([^>]*)>.*");
    private static final Pattern SUB_ADDRESS = Pattern.compile("(<[^>+]*)\\+[^>@]*(@)");
    private static final Duration SLOW = Duration.ofSeconds(3);

    private final ServerSocket socket;
    private final int behind;
    private final Manners manners;
    private final BiConsumer<String, String> comesBack;

    /**
     * @param behind the port of the mail server
     * @param comesBack gets the sender, and the whole mail, of what is to come back
     */
    Porter(int port, int behind, Manners manners, BiConsumer<String, String> comesBack) {
        this.behind = behind;
        this.manners = manners;
        this.comesBack = comesBack;
        try {
            this.socket = new ServerSocket(port, 50, InetAddress.getByName("127.0.0.1"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        Thread thread = new Thread(this::listen, "porter");
        thread.setDaemon(true);
        thread.start();
    }

    int port() {
        return socket.getLocalPort();
    }

    private void listen() {
        while (!socket.isClosed()) {
            try {
                Socket caller = socket.accept();
                Thread thread = new Thread(() -> serve(caller), "porter");
                thread.setDaemon(true);
                thread.start();
            } catch (IOException e) {
                return;
            }
        }
    }

    private void serve(Socket caller) {
        try (caller;
                Socket server = new Socket(InetAddress.getByName("127.0.0.1"), behind)) {
            new Talk(caller, server).run();
        } catch (IOException e) {
            // Whoever went away hears nothing more.
        }
    }

    /** One caller's talk with the server. */
    private final class Talk {

        private final BufferedReader heard;
        private final OutputStream said;
        private final BufferedReader answered;
        private final OutputStream passed;
        private String sender = "";
        private boolean back;

        Talk(Socket caller, Socket server) throws IOException {
            // One character for each byte, so that nothing is changed on the way.
            heard = new BufferedReader(new InputStreamReader(caller.getInputStream(), StandardCharsets.ISO_8859_1));
            said = caller.getOutputStream();
            answered = new BufferedReader(new InputStreamReader(server.getInputStream(), StandardCharsets.ISO_8859_1));
            passed = server.getOutputStream();
        }

        void run() throws IOException {
            answer();
            for (String line = heard.readLine(); line != null; line = heard.readLine()) {
                String command = line.toUpperCase(Locale.ROOT);
                if (command.startsWith("RCPT ") && !takes(line)) {
                    continue;
                }
                if (command.startsWith("MAIL ")) {
                    sender = address(line);
                    back = false;
                }
                write(passed, command.startsWith("RCPT ") ? plain(line) : line);
                boolean taken = answer();
                if (command.equals("DATA") && taken) {
                    data();
                }
            }
        }

        private boolean takes(String line) throws IOException {
            switch (manners.to(address(line))) {
                case NOT_NOW -> write(said, "450 4.2.1 The mailbox is busy");
                case NEVER -> write(said, "550 5.1.1 Nobody lives here");
                case SLOWLY -> {
                    pause();
                    return true;
                }
                case COMES_BACK -> {
                    back = true;
                    return true;
                }
                default -> {
                    return true;
                }
            }
            return false;
        }

        private void pause() {
            try {
                Thread.sleep(SLOW.toMillis());
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        private void data() throws IOException {
            List<String> mail = new ArrayList<>();
            for (String line = heard.readLine(); !".".equals(line); line = heard.readLine()) {
                if (line == null) {
                    // The server is to see at once that nothing more comes.
                    throw new IOException("the caller went away");
                }
                write(passed, line);
                mail.add(line);
            }
            write(passed, ".");
            answer();
            if (back) {
                comesBack.accept(sender, String.join("\r\n", mail));
            }
        }

        /** Passes on an answer of the server, which may have several lines; says whether it is a yes. */
        private boolean answer() throws IOException {
            String line = answered.readLine();
            while (line != null && line.length() > 3 && line.charAt(3) == '-') {
                write(said, line);
                line = answered.readLine();
            }
            if (line == null) {
                throw new IOException("the server went away");
            }
            write(said, line);
            return line.startsWith("2") || line.startsWith("3");
        }

        private void write(OutputStream to, String line) throws IOException {
            to.write((line + "\r\n").getBytes(StandardCharsets.ISO_8859_1));
            to.flush();
        }
    }

    /** What follows a plus sign in the name of a mailbox is for whoever reads it (RFC 5233). */
    private static String plain(String line) {
        return SUB_ADDRESS.matcher(line).replaceFirst("$1$2");
    }

    private static String address(String line) {
        Matcher matcher = ADDRESS.matcher(line);
        return matcher.matches() ? matcher.group(1) : "";
    }

    @Override
    public void close() throws IOException {
        socket.close();
    }
}
