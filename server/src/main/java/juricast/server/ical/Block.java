package juricast.server.ical;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A part of a calendar as it is written: an event, a zone, an alarm in an event.
 *
 * @param name in capitals, as VEVENT
 * @param line on which it begins in the file
 * @param properties by their names in capitals, each in the order of the file
 * @param inner the blocks in it
 */
public record Block(String name, int line, Map<String, List<Property>> properties, List<Block> inner) {
    /** One property. @param parameters by their names in capitals, without quotation marks */
    public record Property(String value, Map<String, String> parameters) {
        public boolean isDay() {
            return "DATE".equalsIgnoreCase(parameters.get("VALUE")) || value.matches("\\d{8}");
        }

        public String zone() {
            return parameters.getOrDefault("TZID", "");
        }
    }

    public Optional<Property> one(String property) {
        return all(property).stream().findFirst();
    }

    public List<Property> all(String property) {
        return properties.getOrDefault(property, List.of());
    }

    /** The value of the first of a name, without spaces around it; empty if there is none. */
    public String text(String property) {
        return one(property).map(Property::value).orElse("").strip();
    }
}
