package gastfreund.app;

import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import gastfreund.housefile.HouseFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.Constructor;
import java.lang.reflect.Field;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutableCredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCose;
import tools.jackson.databind.JsonNode;

/** Makes some value of a type, for callers who do not mind which. */
final class Samples {

    private static final Map<Class<?>, Object> KNOWN = Map.ofEntries(
            Map.entry(String.class, "x"),
            Map.entry(int.class, 1),
            Map.entry(Integer.class, 1),
            Map.entry(long.class, 1L),
            Map.entry(Long.class, 1L),
            Map.entry(boolean.class, true),
            Map.entry(Instant.class, Instant.parse("2027-01-13T08:30:00Z")),
            Map.entry(LocalDate.class, LocalDate.of(2027, 1, 13)),
            Map.entry(Locale.class, Locale.GERMAN),
            Map.entry(Money.class, Money.ofMinor(1)),
            Map.entry(Percent.class, Percent.of("19")),
            Map.entry(Minutes.class, Minutes.of(60)),
            Map.entry(JsonNode.class, house()),
            Map.entry(CredentialRecord.class, passkey()),
            Map.entry(OptionalInt.class, OptionalInt.of(1)),
            Map.entry(Interval.class, Interval.between(30_000_000, 30_000_060)));

    private Samples() {}

    private static JsonNode house() {
        try {
            return HouseFile.parse(Files.readString(Path.of("../demo/quillmere.house.json")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static CredentialRecord passkey() {
        Bytes some = new Bytes(new byte[] {1, 2, 3});
        return ImmutableCredentialRecord.builder()
                .credentialId(some)
                .userEntityUserId(some)
                .publicKey(new ImmutablePublicKeyCose(some.getBytes()))
                .transports(Set.of())
                .attestationObject(some)
                .attestationClientDataJSON(some)
                .label("x")
                .build();
    }

    static Object of(Type type) {
        if (type instanceof ParameterizedType generic) {
            return ofGeneric(generic);
        }
        Class<?> wanted = (Class<?>) type;
        Object known = KNOWN.get(wanted);
        if (known != null) {
            return known;
        }
        return wanted.isEnum() ? wanted.getEnumConstants()[0] : made(wanted);
    }

    private static Object ofGeneric(ParameterizedType type) {
        Class<?> raw = (Class<?>) type.getRawType();
        Type[] of = type.getActualTypeArguments();
        if (raw == List.class) {
            return List.of(of(of[0]));
        }
        if (raw == Set.class) {
            return Set.of(of(of[0]));
        }
        if (raw == Map.class) {
            return Map.of(of(of[0]), of(of[1]));
        }
        if (raw == Optional.class) {
            return Optional.of(of(of[0]));
        }
        throw new IllegalArgumentException("no sample of " + type);
    }

    /** By its constants, its factories or its constructor, whichever works first. */
    private static Object made(Class<?> type) {
        if (type.isSealed()) {
            return of(type.getPermittedSubclasses()[0]);
        }
        for (Maker maker : makers(type)) {
            try {
                return maker.make();
            } catch (ReflectiveOperationException | IllegalArgumentException e) {
                // Another may do.
            }
        }
        throw new IllegalArgumentException("no sample of " + type);
    }

    /** One way to come by a value. */
    private interface Maker {
        Object make() throws ReflectiveOperationException;
    }

    private static List<Maker> makers(Class<?> type) {
        List<Maker> makers = new ArrayList<>();
        for (Field constant : type.getDeclaredFields()) {
            if (Modifier.isStatic(constant.getModifiers()) && constant.getType() == type) {
                constant.setAccessible(true);
                makers.add(() -> constant.get(null));
            }
        }
        for (Constructor<?> whole : type.getDeclaredConstructors()) {
            whole.setAccessible(true);
            makers.add(() -> whole.newInstance(Arrays.stream(whole.getGenericParameterTypes())
                    .map(Samples::of)
                    .toArray()));
        }
        for (Method factory : type.getMethods()) {
            if (Modifier.isStatic(factory.getModifiers()) && factory.getReturnType() == type) {
                factory.setAccessible(true);
                makers.add(() -> factory.invoke(
                        null,
                        Arrays.stream(factory.getGenericParameterTypes())
                                .map(Samples::of)
                                .toArray()));
            }
        }
        return makers;
    }
}
