package juricast.server.questions;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import juricast.core.questions.Question;
import juricast.server.files.Archive;
import juricast.server.problems.Problem;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;

/**
 * Questions as items of 1EdTech QTI: read in 2.1, 2.2 and 3.0, alone or in an archive; written in 2.1. Choosing one, choosing several and
 * putting in order are carried; what an item says besides is named and left out. Nothing outside a file is ever fetched, and a
 * file that declares entities is refused.
 */
final class Qti {
    private static final int MOST_FILES = 500;
    private static final int MOST_BYTES = 6_000_000;
    /** Elements within elements: they are gone through one within the other. */
    private static final int DEEPEST = 100;

    private static final String SPACE = "http://www.imsglobal.org/xsd/imsqti_v2p1";
    /** What may stand in an item without anything being lost by leaving it. */
    private static final Set<String> CARRIED = Set.of(
            "assessmentitem",
            "responsedeclaration",
            "correctresponse",
            "value",
            "outcomedeclaration",
            "defaultvalue",
            "itembody",
            "choiceinteraction",
            "orderinteraction",
            "prompt",
            "simplechoice",
            "p",
            "div",
            "span",
            "br",
            "responseprocessing",
            "contentbody");

    private Qti() {}

    /** @throws Problem if it is no such file at all */
    static QuestionFiles.Read read(byte[] bytes) {
        var questions = new ArrayList<Question>();
        var leftOut = new ArrayList<String>();
        boolean isArchive = bytes.length > 1 && bytes[0] == 'P' && bytes[1] == 'K';
        Map<String, byte[]> files = isArchive ? unpacked(bytes) : Map.of("The file", bytes);
        files.forEach((name, content) -> {
            if (name.endsWith("imsmanifest.xml")) {
                return;
            }
            if (isArchive && !name.toLowerCase(Locale.ROOT).endsWith(".xml")) {
                leftOut.add("%s: it is no item.".formatted(name));
                return;
            }
            try {
                List<Element> items = items(document(content));
                if (items.isEmpty()) {
                    leftOut.add("%s: there is no item in it.".formatted(name));
                }
                items.forEach(item -> item(name, item, questions, leftOut));
            } catch (SAXException | IOException broken) {
                leftOut.add("%s: it cannot be read (%s).".formatted(name, why(String.valueOf(broken.getMessage()))));
            }
        });
        return new QuestionFiles.Read(questions, leftOut);
    }

    private static String why(String broken) {
        if (broken.contains("DOCTYPE")) {
            return "it declares a document type or entities, which is not taken";
        }
        return broken.contains("maxElementDepth")
                ? "its elements stand in each other more than %d deep".formatted(DEEPEST)
                : "it is no well-formed XML";
    }

    private static Map<String, byte[]> unpacked(byte[] bytes) {
        var files = new LinkedHashMap<String, byte[]>();
        int all = 0;
        try (var zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.isDirectory()) {
                    continue;
                }
                byte[] content = zip.readNBytes(MOST_BYTES - all + 1);
                all += content.length;
                if (all > MOST_BYTES || files.size() >= MOST_FILES) {
                    throw Problem.refused(
                            "questions-file",
                            "This archive is too large",
                            "Nothing was changed.",
                            "Bring up to %d items, together no more than 6 MB.".formatted(MOST_FILES));
                }
                files.put(entry.getName(), content);
            }
        } catch (IOException broken) {
            throw Problem.refused(
                    "questions-file", "This archive is broken", "Nothing was changed.", "Save it once more.");
        }
        return files;
    }

    private static Element document(byte[] content) throws SAXException, IOException {
        try {
            var factory = DocumentBuilderFactory.newInstance();
            factory.setNamespaceAware(true);
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            factory.setAttribute("jdk.xml.maxElementDepth", String.valueOf(DEEPEST));
            factory.setAttribute(XMLConstants.ACCESS_EXTERNAL_DTD, "");
            factory.setAttribute(XMLConstants.ACCESS_EXTERNAL_SCHEMA, "");
            factory.setXIncludeAware(false);
            factory.setExpandEntityReferences(false);
            var builder = factory.newDocumentBuilder();
            builder.setErrorHandler(null);
            return builder.parse(new InputSource(new ByteArrayInputStream(content)))
                    .getDocumentElement();
        } catch (ParserConfigurationException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static List<Element> items(Element root) {
        return named(root, "assessmentitem");
    }

    private static void item(String file, Element item, List<Question> questions, List<String> leftOut) {
        String title =
                item.getAttribute("title").isBlank() ? item.getAttribute("identifier") : item.getAttribute("title");
        String where = "%s, “%s”".formatted(file, title);
        List<Element> choose = named(item, "choiceinteraction");
        List<Element> order = named(item, "orderinteraction");
        if (choose.size() + order.size() != 1) {
            leftOut.add(where
                    + (choose.isEmpty() && order.isEmpty()
                            ? ": it is not answered by choosing or putting in order."
                            : ": it asks several things at once."));
            return;
        }
        Element asks = order.isEmpty() ? choose.get(0) : order.get(0);
        Question question = question(item, asks, !order.isEmpty());
        if (question.wrong().isPresent()) {
            leftOut.add("%s: %s"
                    .formatted(where, QuestionFiles.says(question.wrong().get().name())));
            return;
        }
        questions.add(question);
        Set<String> besides = everything(item).stream()
                .map(Qti::plain)
                .filter(name -> !CARRIED.contains(name))
                .collect(Collectors.toCollection(TreeSet::new));
        if (!besides.isEmpty()) {
            leftOut.add("%s was taken without: %s.".formatted(where, String.join(", ", besides)));
        }
        if (asks.getAttribute("shuffle").equals("true")) {
            leftOut.add(where + " was taken, but its choices are not shuffled here.");
        }
        if (!everything(item).stream()
                .filter(one -> plain(one).equals("responseprocessing"))
                .allMatch(Qti::isPlain)) {
            leftOut.add(where + " was taken, but only a wholly right answer counts here, not its own way of marking.");
        }
    }

    /** Marking by whether the answer is the right one; others are templates of their own. */
    private static boolean isPlain(Element processing) {
        return processing.getAttribute("template").contains("match_correct")
                || processing.getAttribute("template").isEmpty()
                        && everything(processing).stream()
                                .noneMatch(one -> plain(one).equals("mapresponse"));
    }

    private static Question question(Element item, Element asks, boolean isOrder) {
        List<Element> choices = named(asks, "simplechoice");
        List<String> ids =
                choices.stream().map(one -> one.getAttribute("identifier")).toList();
        String response = attribute(asks, "responseIdentifier", "response-identifier");
        List<Integer> right = named(item, "responsedeclaration").stream()
                .filter(one -> one.getAttribute("identifier").equals(response))
                .flatMap(one -> named(one, "correctresponse").stream())
                .flatMap(one -> named(one, "value").stream())
                .map(one -> ids.indexOf(text(one)))
                .toList();
        boolean isMultiple = named(item, "responsedeclaration").stream()
                .filter(one -> one.getAttribute("identifier").equals(response))
                .anyMatch(one -> one.getAttribute("cardinality").equals("multiple"));
        String prompt = named(asks, "prompt").stream().map(Qti::text).collect(Collectors.joining(" "));
        String before = named(item, "itembody").stream()
                .map(body -> textWithout(body, asks))
                .collect(Collectors.joining(" "));
        return Question.of(
                        isOrder ? Question.Kind.ORDER : isMultiple ? Question.Kind.MULTIPLE : Question.Kind.SINGLE,
                        (before + " " + prompt).strip().replaceAll("\\s+", " "),
                        choices.stream().map(Qti::text).toList())
                .right(right.toArray(Integer[]::new));
    }

    private static String attribute(Element of, String two, String three) {
        return of.hasAttribute(two) ? of.getAttribute(two) : of.getAttribute(three);
    }

    /** Without the letters that version 3 puts before every name, and in small ones. */
    private static String plain(Element one) {
        return one.getLocalName()
                .toLowerCase(Locale.ROOT)
                .replaceFirst("^qti-", "")
                .replace("-", "");
    }

    private static List<Element> named(Element in, String name) {
        return everything(in).stream().filter(one -> plain(one).equals(name)).toList();
    }

    /** The element itself and all within it, in their order. */
    private static List<Element> everything(Element in) {
        var all = new ArrayList<Element>();
        all.add(in);
        for (Node node = in.getFirstChild(); node != null; node = node.getNextSibling()) {
            if (node instanceof Element child) {
                all.addAll(everything(child));
            }
        }
        return all;
    }

    private static String text(Element of) {
        return of.getTextContent().strip().replaceAll("\\s+", " ");
    }

    private static String textWithout(Node of, Element left) {
        var text = new StringBuilder();
        for (Node node = of.getFirstChild(); node != null; node = node.getNextSibling()) {
            if (node != left) {
                text.append(node instanceof Element child ? textWithout(child, left) : node.getTextContent());
            }
        }
        return text.toString().strip();
    }

    /** Whether version 2.1 carries it whole. */
    static boolean isCarried(Question one) {
        return !one.choices().isEmpty();
    }

    /** An archive with a manifest and an item for each that is carried; what is not is listed in it. */
    static byte[] write(String name, List<Question> questions) throws IOException {
        var bytes = new ByteArrayOutputStream();
        var archive = new Archive(bytes);
        var resources = new StringBuilder();
        for (int i = 0; i < questions.size(); i++) {
            if (isCarried(questions.get(i))) {
                String file = "item-%02d.xml".formatted(i + 1);
                archive.put(file, "application/xml", item("q" + (i + 1), questions.get(i)));
                resources.append(
                        "    <resource identifier=\"r%1$d\" type=\"imsqti_item_xmlv2p1\" href=\"%2$s\"><file href=\"%2$s\"/></resource>\n"
                                .formatted(i + 1, file));
            }
        }
        archive.put(
                "imsmanifest.xml",
                "application/xml",
                """
                <?xml version="1.0" encoding="UTF-8"?>
                <manifest xmlns="http://www.imsglobal.org/xsd/imscp_v1p1" identifier="questions">
                  <metadata><schema>QTIv2.1 Package</schema><schemaversion>1.0.0</schemaversion></metadata>
                  <organizations/>
                  <resources>
                %s  </resources>
                </manifest>
                """
                        .formatted(resources));
        String left = IntStream.range(0, questions.size())
                .filter(i -> !isCarried(questions.get(i)))
                .mapToObj(i -> "%d. %s".formatted(i + 1, questions.get(i).text()))
                .collect(Collectors.joining("\n"));
        if (!left.isEmpty()) {
            archive.put(
                    "left-out.txt",
                    "text/plain",
                    "Questions of “%s” that are answered by a number or a text, and are only in the table (CSV):\n\n%s\n"
                            .formatted(name, left));
        }
        archive.finish();
        return bytes.toByteArray();
    }

    private static String item(String id, Question one) {
        String cardinality =
                switch (one.kind()) {
                    case MULTIPLE -> "multiple";
                    case ORDER -> "ordered";
                    default -> "single";
                };
        String right = one.right().isEmpty()
                ? ""
                : one.right().stream()
                        .map(place -> "      <value>c%d</value>\n".formatted(place + 1))
                        .collect(Collectors.joining("", "    <correctResponse>\n", "    </correctResponse>\n"));
        String element = one.kind() == Question.Kind.ORDER ? "orderInteraction" : "choiceInteraction";
        String most = one.kind() == Question.Kind.ORDER
                ? ""
                : " maxChoices=\"%d\"".formatted(one.kind() == Question.Kind.MULTIPLE ? 0 : 1);
        String choices = IntStream.range(0, one.choices().size())
                .mapToObj(i -> "      <simpleChoice identifier=\"c%d\">%s</simpleChoice>\n"
                        .formatted(i + 1, escaped(one.choices().get(i))))
                .collect(Collectors.joining());
        String title = one.text().isBlank() ? id : one.text();
        return """
                <?xml version="1.0" encoding="UTF-8"?>
                <assessmentItem xmlns="%s" identifier="%s" title="%s" adaptive="false" timeDependent="false">
                  <responseDeclaration identifier="RESPONSE" cardinality="%s" baseType="identifier">
                %s  </responseDeclaration>
                  <outcomeDeclaration identifier="SCORE" cardinality="single" baseType="float"/>
                  <itemBody>
                    <%s responseIdentifier="RESPONSE" shuffle="false"%s>
                      <prompt>%s</prompt>
                %s    </%s>
                  </itemBody>
                %s</assessmentItem>
                """
                .formatted(
                        SPACE,
                        id,
                        escaped(title),
                        cardinality,
                        right,
                        element,
                        most,
                        escaped(one.text()),
                        choices,
                        element,
                        right.isEmpty()
                                ? ""
                                : "  <responseProcessing template=\"http://www.imsglobal.org/question/qti_v2p1/rptemplates/match_correct\"/>\n");
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;")
                .replaceAll("[\\x00-\\x08\\x0B\\x0C\\x0E-\\x1F]", " ");
    }
}
