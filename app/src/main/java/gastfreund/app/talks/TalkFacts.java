package gastfreund.app.talks;

import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a letter says by which hosts and guests talk.
 *
 * @param token of the order; empty where its reader is not its guest
 * @param booking what it is about; empty: the order as a whole
 * @param thread the key that brings an answer back; empty: none is awaited
 * @param host who writes; empty: the guest does
 */
record TalkFacts(long number, String token, String guest, String booking, String thread, String words, String host) {

    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    String json() {
        return JSON.writeValueAsString(this);
    }

    static TalkFacts of(String json) {
        return JSON.readValue(json, TalkFacts.class);
    }
}
