package juricast.server.rules;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.StreamSupport;
import juricast.core.charter.Edit;
import juricast.core.charter.Place;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Circumstance;
import juricast.core.rules.Condition;
import juricast.core.rules.Reach;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;
import juricast.core.rules.Value;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.problems.Problem;
import juricast.server.words.ConditionWords;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The charter as an open file; its JSON Schema is {@code formats/charter.schema.json}. */
@Component
class CharterFile {
    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(tools.jackson.databind.SerializationFeature.INDENT_OUTPUT)
            .build();

    private static final int FAULTS = 50;

    private final String schemaText;
    private final Schema schema;
    private final School school;

    CharterFile(School school) throws IOException {
        try (InputStream file = CharterFile.class.getResourceAsStream("/formats/charter.schema.json")) {
            schemaText = new String(java.util.Objects.requireNonNull(file).readAllBytes(), StandardCharsets.UTF_8);
        }
        this.schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(schemaText);
        this.school = school;
    }

    String schema() {
        return schemaText;
    }

    /** The settings that count at an instant, as a file. */
    String write(List<Setting> charter, Instant at) {
        var file = JSON.createObjectNode();
        file.put("format", "juricast-charter");
        file.put("version", 1);
        school.identity().ifPresent(identity -> file.put("school", identity.name()));
        file.put("asOf", school.date(at).toString());
        var settings = file.putArray("settings");
        charter.stream()
                .filter(one -> one.isInForce(at))
                .sorted(Comparator.<Setting>comparingInt(
                                one -> Catalogue.ALL.indexOf(one.set().rule()))
                        .thenComparing(Setting::role)
                        .thenComparing(one -> one.when().text()))
                .forEach(one -> {
                    var line = settings.addObject();
                    line.put("rule", one.set().rule().key());
                    line.put("role", one.role().name());
                    line.put("value", one.set().value().text());
                    line.put("binding", one.isBinding());
                    if (!one.when().isAlways()) {
                        var when = line.putArray("when");
                        one.when().all().forEach(circumstance -> when.add(circumstance.text()));
                    }
                    if (!one.note().isEmpty()) {
                        line.put("note", one.note());
                    }
                    if (!one.until().equals(Setting.FOR_EVER)) {
                        line.put(
                                "until", school.date(one.until().minusMillis(1)).toString());
                    }
                });
        return JSON.writeValueAsString(file);
    }

    /**
     * The edits that make the charter say what a file says.
     *
     * @throws Problem that names all faults at once, if the file cannot be read as a charter
     */
    List<Edit> read(byte[] file, List<Setting> charter, Instant now) {
        JsonNode tree = tree(file);
        var faults = new ArrayList<Problem.Wrong>();
        schema.validate(tree).stream()
                .limit(FAULTS)
                .forEach(error ->
                        faults.add(new Problem.Wrong(error.getInstanceLocation().toString(), error.getMessage())));
        if (!faults.isEmpty()) {
            throw unreadable(faults);
        }
        var edits = new ArrayList<Edit>();
        var seen = new HashSet<String>();
        int number = 0;
        for (JsonNode line : tree.get("settings")) {
            String where = "/settings/" + number++;
            Optional<Edit> edit = edit(line, where, now, faults);
            edit.ifPresent(one -> {
                if (!seen.add(one.rule().key() + one.role() + one.when().text())) {
                    faults.add(new Problem.Wrong(where, "says the same as a line before it, or contradicts it"));
                }
                if (charter.stream().noneMatch(setting -> isSaid(setting, one, now))) {
                    edits.add(one);
                }
            });
        }
        if (!faults.isEmpty()) {
            throw unreadable(faults.stream().limit(FAULTS).toList());
        }
        // What the file does not say any more is taken back.
        charter.stream()
                .filter(one -> one.isInForce(now)
                        && !seen.contains(
                                one.set().rule().key() + one.role() + one.when().text()))
                .forEach(one -> edits.add(new Edit(
                        Place.SCHOOL,
                        one.set().rule(),
                        one.role(),
                        one.when(),
                        Optional.empty(),
                        false,
                        "",
                        Setting.FOR_EVER)));
        return edits;
    }

    private static boolean isSaid(Setting setting, Edit edit, Instant now) {
        return setting.isInForce(now)
                && edit.isAbout(setting)
                && edit.value().filter(setting.set().value()::equals).isPresent()
                && edit.binding() == setting.isBinding()
                && edit.until().equals(setting.until());
    }

    private Optional<Edit> edit(JsonNode line, String where, Instant now, List<Problem.Wrong> faults) {
        String key = line.get("rule").asString();
        Role role = Role.valueOf(line.get("role").asString());
        Optional<Rule<?>> rule = Catalogue.byKey(key);
        if (rule.isEmpty() || !rule.get().speaksOf(role)) {
            faults.add(new Problem.Wrong(
                    where,
                    rule.isEmpty()
                            ? "“%s” is no rule".formatted(key)
                            : "“%s” does not speak of %s".formatted(key, role)));
            return Optional.empty();
        }
        String text = line.get("value").asString();
        Optional<Value> value = RuleValue.of(key, text).map(RuleValue::value);
        if (value.isEmpty()) {
            faults.add(new Problem.Wrong(where, "“%s” is no value of “%s”".formatted(text, key)));
        }
        Optional<Condition> when = condition(line);
        if (when.isEmpty()) {
            faults.add(new Problem.Wrong(where, "its condition has a number out of range"));
        }
        when.flatMap(one -> Reach.neverMet(rule.get(), role, one))
                .ifPresent(never -> faults.add(new Problem.Wrong(
                        where,
                        "“%s” can never make a difference to “%s”"
                                .formatted(ConditionWords.of(Condition.of(never)), key))));
        Instant until = line.has("until") ? endOf(line.get("until").asString(), school.zone()) : Setting.FOR_EVER;
        if (!until.isAfter(now)) {
            faults.add(new Problem.Wrong(where, "its last day is over"));
        }
        return value.isEmpty() || when.isEmpty()
                ? Optional.empty()
                : Optional.of(new Edit(
                        Place.SCHOOL,
                        rule.get(),
                        role,
                        when.get(),
                        value,
                        line.has("binding") && line.get("binding").asBoolean(),
                        line.has("note") ? line.get("note").asString() : "",
                        until));
    }

    private static Optional<Condition> condition(JsonNode line) {
        if (!line.has("when")) {
            return Optional.of(Condition.ALWAYS);
        }
        List<Optional<Circumstance>> parts = StreamSupport.stream(
                        line.get("when").spliterator(), false)
                .map(part -> Circumstance.parse(part.asString()))
                .toList();
        return parts.stream().anyMatch(Optional::isEmpty)
                ? Optional.empty()
                : Optional.of(new Condition(parts.stream().map(Optional::get).toList()));
    }

    /** The schema has checked that it is a date; one that no calendar has counts as over. */
    private static Instant endOf(String day, ZoneId zone) {
        try {
            return WrittenDay.parse(day).plusDays(1).atStartOfDay(zone).toInstant();
        } catch (java.time.DateTimeException wrong) {
            return Instant.EPOCH;
        }
    }

    private static JsonNode tree(byte[] file) {
        try {
            return JSON.readTree(file);
        } catch (JacksonException wrong) {
            throw unreadable(List.of(new Problem.Wrong(
                    "line "
                            + Optional.ofNullable(wrong.getLocation())
                                    .map(at -> at.getLineNr())
                                    .orElse(1),
                    "This is not JSON: " + wrong.getOriginalMessage())));
        }
    }

    private static Problem unreadable(List<Problem.Wrong> faults) {
        return Problem.notReadable(
                "This file cannot be read as a charter",
                "%d %s wrong. The charter and your draft are as they were."
                        .formatted(faults.size(), faults.size() == 1 ? "thing is" : "things are"),
                "Mend the places named, or export the charter and change that file.",
                List.copyOf(faults));
    }
}
