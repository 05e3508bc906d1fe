package gastfreund.app.strangers;

import gastfreund.app.pages.TooLongException;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Set;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.util.unit.DataSize;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Bounds what a request may bring: bodies that are no forms are read up to a limit, by what they say of their length and by
 * counting; a form has so many fields of so many characters. Fields have narrower limits of their own besides.
 */
final class Sizes extends OncePerRequestFilter {

    private static final long MOST_BYTES = DataSize.ofKilobytes(64).toBytes();

    /** A picture or another file with the form around it. */
    private static final long MOST_FILE = DataSize.ofMegabytes(12).toBytes();

    private static final String DESK = "/desk/";
    private static final Set<String> SENT = Set.of("/picture", "/file");
    private static final int MOST_FIELDS = 400;
    private static final int MOST_NAME = 200;
    private static final int MOST_VALUE = 10_000;

    /** What would bind a name as a place in a list. No field of ours has one, and odd ones are faults where forms are bound. */
    private static final String INDEX = "[";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean file = isFile(request);
        if (isOfParts(request) && !file) {
            response.sendError(HttpServletResponse.SC_UNSUPPORTED_MEDIA_TYPE);
            return;
        }
        if (request.getContentLengthLong() > (file ? MOST_FILE : MOST_BYTES)) {
            response.sendError(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
            return;
        }
        int wrong = wrongWithFields(request);
        if (wrong != 0) {
            response.sendError(wrong);
        } else {
            chain.doFilter(file || isForm(request) ? request : new Counted(request), response);
        }
    }

    /** Whether a picture or another file comes to the desk, from a browser that has been there, and says how long it is. */
    private static boolean isFile(HttpServletRequest request) {
        String path = request.getServletPath();
        return isOfParts(request)
                && path.startsWith(DESK)
                && SENT.stream().anyMatch(path::endsWith)
                && request.isRequestedSessionIdValid()
                && request.getContentLengthLong() >= 0;
    }

    private static boolean isOfParts(HttpServletRequest request) {
        return begins(request.getContentType(), "multipart/");
    }

    /** What is wrong with the fields of an address or a form, as a status; 0: nothing. */
    private static int wrongWithFields(HttpServletRequest request) {
        try {
            Map<String, String[]> fields = request.getParameterMap();
            if (fields.keySet().stream().anyMatch(name -> name.contains(INDEX))) {
                return HttpServletResponse.SC_BAD_REQUEST;
            }
            return isSmall(fields) ? 0 : HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE;
        } catch (InvalidParameterException e) {
            return e.getErrorCode() == HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE
                    ? e.getErrorCode()
                    : HttpServletResponse.SC_BAD_REQUEST;
        } catch (IllegalStateException e) {
            return HttpServletResponse.SC_BAD_REQUEST;
        }
    }

    private static boolean isForm(HttpServletRequest request) {
        String type = request.getContentType();
        return type == null || begins(type, MediaType.APPLICATION_FORM_URLENCODED_VALUE);
    }

    private static boolean begins(@Nullable String type, String with) {
        return type != null && type.regionMatches(true, 0, with, 0, with.length());
    }

    private static boolean isSmall(Map<String, String[]> fields) {
        int values = 0;
        for (Map.Entry<String, String[]> field : fields.entrySet()) {
            values += field.getValue().length;
            if (field.getKey().length() > MOST_NAME) {
                return false;
            }
            for (String value : field.getValue()) {
                if (value.length() > MOST_VALUE) {
                    return false;
                }
            }
        }
        return values <= MOST_FIELDS;
    }

    private static final class Counted extends HttpServletRequestWrapper {

        private @Nullable ServletInputStream stream;

        Counted(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (stream == null) {
                stream = new CountedStream(super.getInputStream());
            }
            return stream;
        }

        @Override
        public BufferedReader getReader() throws IOException {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }
    }

    private static final class CountedStream extends ServletInputStream {

        private final ServletInputStream body;
        private long read;

        CountedStream(ServletInputStream body) {
            this.body = body;
        }

        private void count(long bytes) throws TooLongException {
            read += Math.max(0, bytes);
            if (read > MOST_BYTES) {
                throw new TooLongException();
            }
        }

        @Override
        public int read() throws IOException {
            int one = body.read();
            count(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] bytes, int offset, int length) throws IOException {
            int some = body.read(bytes, offset, length);
            count(some);
            return some;
        }

        @Override
        public boolean isFinished() {
            return body.isFinished();
        }

        @Override
        public boolean isReady() {
            return body.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            body.setReadListener(listener);
        }
    }
}
