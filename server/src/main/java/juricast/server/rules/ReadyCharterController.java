package juricast.server.rules;

import static juricast.server.access.Position.LEAD;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import juricast.core.rules.Catalogue;
import juricast.core.rules.RuleValue;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.problems.Problem;
import juricast.server.rules.RulesDocument.Rules;
import juricast.server.words.RuleWords;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Ready-made charters for a school that begins: each is a charter file that ships, with a reason for every setting. */
@RestController
@RequestMapping("/api/charter/ready-made")
class ReadyCharterController {
    private final JsonNode all;
    private final CharterIntoDraft intoDraft;

    ReadyCharterController(CharterIntoDraft intoDraft) throws IOException {
        try (InputStream ready =
                Objects.requireNonNull(ReadyCharterController.class.getResourceAsStream("/charters/ready-made.json"))) {
            this.all = JsonMapper.builder().build().readTree(ready);
        }
        this.intoDraft = intoDraft;
    }

    record ReadyCharter(String id, String name, String about, List<ReadyLine> settings) {}

    record ReadyLine(String title, String value, boolean binding, String why) {}

    /** The charters that ship, strictest first. */
    @GetMapping
    @For(LEAD)
    List<ReadyCharter> list() {
        return each(all)
                .map(one -> new ReadyCharter(
                        one.get("id").asString(),
                        one.get("name").asString(),
                        one.get("about").asString(),
                        each(one.at("/charter/settings"))
                                .map(ReadyCharterController::line)
                                .toList()))
                .toList();
    }

    private static ReadyLine line(JsonNode line) {
        var set = RuleValue.of(line.get("rule").asString(), line.get("value").asString())
                .orElseThrow();
        return new ReadyLine(
                Catalogue.byKey(line.get("rule").asString()).orElseThrow().title(),
                RuleWords.value(set.rule(), set.value()),
                line.path("binding").asBoolean(false),
                line.get("note").asString());
    }

    /** Makes one the caller's draft: nothing counts until it is put in force. 409 if a draft is begun. */
    @PostMapping("/{id}")
    @For(LEAD)
    Rules take(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        JsonNode wanted = each(all)
                .filter(one -> one.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow(() -> Problem.notThere("This charter"));
        return intoDraft.take(wanted.get("charter").toString().getBytes(StandardCharsets.UTF_8), caller);
    }

    private static java.util.stream.Stream<JsonNode> each(JsonNode array) {
        return IntStream.range(0, array.size()).mapToObj(array::get);
    }
}
