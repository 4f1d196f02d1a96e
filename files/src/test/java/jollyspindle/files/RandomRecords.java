package jollyspindle.files;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Makes random values of records, whatever fields they have, so that a kind or a field that is added is tried without a word
 * about it here. What a record refuses is drawn again: it is the record that says what is allowed.
 */
public final class RandomRecords {

    private static final int TRIES = 20_000;

    private final Random random;

    public RandomRecords(long seed) {
        random = new Random(seed);
    }

    /**
     * All records that a sealed type permits, at any depth, by name, since compilers list them in no lasting order; a record
     * permits itself.
     */
    public static <T> List<Class<? extends T>> kinds(Class<T> type) {
        if (type.isRecord()) {
            return List.of(type);
        }
        List<Class<? extends T>> kinds = new ArrayList<>();
        for (Class<?> one : type.getPermittedSubclasses()) {
            kinds.addAll(kinds(one.asSubclass(type)));
        }
        kinds.sort(Comparator.comparing(Class::getName));
        return kinds;
    }

    /** A random value of a record. */
    public <T> T of(Class<T> record) {
        for (int i = 0; i < TRIES; i++) {
            Optional<T> made = attempt(record);
            if (made.isPresent()) {
                return made.get();
            }
        }
        throw new IllegalStateException("no " + record.getSimpleName() + " came of " + TRIES + " tries");
    }

    private <T> Optional<T> attempt(Class<T> record) {
        RecordComponent[] components = record.getRecordComponents();
        Class<?>[] types =
                Arrays.stream(components).map(RecordComponent::getType).toArray(Class[]::new);
        try {
            Constructor<T> constructor = record.getDeclaredConstructor(types);
            Object[] values = new Object[components.length];
            for (int i = 0; i < values.length; i++) {
                values[i] = value(components[i].getGenericType());
            }
            return Optional.of(constructor.newInstance(values));
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof IllegalArgumentException) {
                return Optional.empty();
            }
            throw new IllegalStateException(record + " refuses in an unusual way", e.getCause());
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private Object value(Type type) {
        if (type instanceof ParameterizedType of) {
            Type inner = of.getActualTypeArguments()[0];
            if (of.getRawType() == Optional.class) {
                return random.nextBoolean() ? Optional.empty() : Optional.of(value(inner));
            }
            List<Object> all = Stream.generate(() -> value(inner))
                    .limit(1 + random.nextInt(3))
                    .toList();
            if (of.getRawType() == List.class) {
                return all;
            }
            if (of.getRawType() == Set.class) {
                return new HashSet<>(all);
            }
            if (of.getRawType() == Map.class) {
                Map<Object, Object> map = new TreeMap<>();
                all.forEach(key -> map.put(key, value(of.getActualTypeArguments()[1])));
                return map;
            }
            throw new IllegalStateException("what is " + type + "?");
        }
        return value((Class<?>) type);
    }

    private Object value(Class<?> type) {
        if (type == double.class || type == Double.class) {
            return number();
        }
        if (type == int.class || type == Integer.class) {
            return random.nextInt(3) == 0 ? random.nextInt(100) : 1 + random.nextInt(9);
        }
        if (type == boolean.class) {
            return random.nextBoolean();
        }
        if (type == OptionalDouble.class) {
            return random.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(number());
        }
        if (type == OptionalInt.class) {
            return random.nextBoolean() ? OptionalInt.empty() : OptionalInt.of(1 + random.nextInt(20));
        }
        if (type == String.class) {
            return List.of("low-dune", "ü “x” \\ \t", "Heron  Weir").get(random.nextInt(3));
        }
        if (type == LocalDate.class) {
            return LocalDate.of(2026, 1, 1).plusDays(random.nextInt(1000));
        }
        if (type.isEnum()) {
            return type.getEnumConstants()[random.nextInt(type.getEnumConstants().length)];
        }
        if (type.isRecord() || type.isSealed()) {
            List<? extends Class<?>> kinds = kinds(type);
            return of(kinds.get(random.nextInt(kinds.size())));
        }
        throw new IllegalStateException("what is a " + type + "?");
    }

    /** Of all sizes, below zero too, the edges of ranges among them. */
    private double number() {
        return switch (random.nextInt(12)) {
            case 0 -> 0;
            case 1 ->
                List.of(0.01, 1.0 / 16, 0.5, 1.0, 12.0, 24.0, 60.0, 100.0, 200.0)
                        .get(random.nextInt(9));
            case 2 -> -Math.exp(random.nextDouble() * 10 - 5);
            case 3 -> Math.exp(random.nextDouble() * 14 - 8);
            case 4, 5 -> random.nextDouble() * 2 * Math.PI;
            default -> Math.exp(random.nextDouble() * 4.5 - 2.5);
        };
    }
}
