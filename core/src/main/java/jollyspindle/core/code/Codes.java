package jollyspindle.core.code;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.stream.Stream;

/** The lasting names of constants and of kinds of records. They stand in {@code codes.properties}. */
public final class Codes {

    private static final String CORE = "jollyspindle.core.";

    private static final ResourceBundle ALL =
            ResourceBundle.getBundle(Codes.class.getPackageName() + ".codes", Locale.ROOT);

    private static final ClassValue<List<String>> OF_CONSTANTS = new ClassValue<>() {
        @Override
        protected List<String> computeValue(Class<?> type) {
            return Stream.of(type.getEnumConstants())
                    .map(c -> c instanceof Coded coded ? coded.code() : look(type, "." + ((Enum<?>) c).name()))
                    .toList();
        }
    };

    private static final ClassValue<String> OF_KIND = new ClassValue<>() {
        @Override
        protected String computeValue(Class<?> kind) {
            return look(kind, "");
        }
    };

    private Codes() {}

    private static String look(Class<?> type, String constant) {
        return ALL.getString(path(type) + constant);
    }

    /** Under which name a type of the core stands in bundles that ship with the program: {@code quilt.Dimension.What}. */
    public static String path(Class<?> type) {
        return type.getName().replaceFirst("^" + CORE, "").replace('$', '.');
    }

    /**
     * The lasting name of a constant.
     *
     * @throws java.util.MissingResourceException if it has none
     */
    public static String of(Enum<?> constant) {
        return OF_CONSTANTS.get(constant.getDeclaringClass()).get(constant.ordinal());
    }

    /** The lasting names of all constants, in their order. */
    public static List<String> all(Class<? extends Enum<?>> type) {
        return OF_CONSTANTS.get(type);
    }

    /** The constant with a lasting name. */
    public static <E extends Enum<E>> Optional<E> constant(Class<E> type, String code) {
        return Stream.of(type.getEnumConstants())
                .filter(c -> of(c).equals(code))
                .findFirst();
    }

    /**
     * The lasting name of a record's kind.
     *
     * @throws java.util.MissingResourceException if it has none
     */
    public static String ofKind(Object thing) {
        return OF_KIND.get(thing.getClass());
    }
}
