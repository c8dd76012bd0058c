package org.kindgirdle.server.year;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.Work;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/** Does what the software says, and nothing else; what is found is the truth's business. */
final class ObedientGrower {

    /** No layer asks for more at one visit than this. */
    private static final int MAX_DEEDS = 12;

    private static final Set<String> WORKS =
            EnumSet.allOf(Work.class).stream().map(Enum::name).collect(Collectors.toSet());

    private static final Pattern MISFITS =
            Pattern.compile("[A-Z]{2,}_[A-Z]|\\{|\\bnull\\b|\\b0 days|\\b1 (times|days|looks)\\b|  |\\s[.,;:]|[.]{2}");

    private static final Set<String> CUTS =
            Set.of("SEVER", "SEVER_NOW", "SEVER_SOON", "SEVER_TO_COVER", "SEVER_DORMANT", "GAMBLE", "RESCUE");

    private final TestNursery nursery;
    private final HiddenTruth truth;
    private int deeds;

    ObedientGrower(TestNursery nursery, HiddenTruth truth) {
        this.nursery = nursery;
        this.truth = truth;
    }

    int deeds() {
        return deeds;
    }

    /** Everything that is due on a layer today. */
    void visit(String code, LocalDate today) {
        JsonNode layer = page(code);
        for (int deed = 0; deed < MAX_DEEDS; deed++) {
            JsonNode job = due(layer, today);
            if (job == null) {
                return;
            }
            layer = does(layer, job.path("code").asString(), today);
            deeds++;
        }
        throw new AssertionError("no end to what " + code + " asks on " + today + ": " + layer.path("jobs") + " "
                + layer.path("advice"));
    }

    private static @Nullable JsonNode due(JsonNode layer, LocalDate today) {
        return layer.path("jobs")
                .valueStream()
                .filter(job -> !LocalDate.parse(job.path("from").asString()).isAfter(today))
                .findFirst()
                .orElse(null);
    }

    private JsonNode does(JsonNode layer, String job, LocalDate today) {
        String code = layer.path("code").asString();
        boolean onMother = layer.path("phase").asString().equals("ON_MOTHER");
        if (!onMother && !truth.lives(code)) {
            return record(layer, "LOST", Map.of("cause", "WILTED_AFTER"));
        }
        if (job.equals("TOP_UP")) {
            truth.water(code);
            return record(
                    layer,
                    "TOPPED_UP",
                    Map.of("waterMl", layer.at("/suggested/waterMl").asDouble()));
        }
        if (job.equals("LOOK")) {
            return onMother
                    ? record(layer, "LOOKED", truth.look(code))
                    : record(layer, "OBSERVED", Map.of("signs", truth.signs(code)));
        }
        if (CUTS.contains(job)) {
            return sever(layer, job);
        }
        if (WORKS.contains(job) || job.equals("COVER_NOW")) {
            Map<String, Object> work = new HashMap<>(Map.of("work", job.equals("COVER_NOW") ? "COVER" : job));
            truth.work(code, String.valueOf(work.get("work")));
            if (job.startsWith("COVER")) {
                work.put("cover", "FOIL");
            }
            return record(layer, "TENDED", work);
        }
        return switch (job) {
            case "RERING" -> {
                truth.ring(code, layer.at("/suggested/ringMm").asDouble());
                yield record(
                        layer,
                        "RERUNG",
                        Map.of("ringMm", layer.at("/suggested/ringMm").asDouble()));
            }
            case "LOST" -> record(layer, "LOST", Map.of("cause", "TOP_DIED"));
            case "ABANDON" -> record(layer, "LOST", Map.of("cause", "NO_ROOTS"));
            case "POT_UP", "POT_ON" -> pot(layer);
            case "STEP_UP", "STEP_BACK" -> {
                String rung = layer.at("/suggested/rung").asString();
                truth.move(code, rung);
                yield record(layer, "MOVED", Map.of("rung", rung));
            }
            case "OPEN_AND_LOOK" -> {
                truth.open(code);
                yield record(layer, "OBSERVED", Map.of("signs", List.of("TURGID")));
            }
            case "HOLD_UNDER_COVER" -> {
                truth.move(code, "LIGHT");
                yield record(layer, "MOVED", Map.of("rung", "LIGHT", "placeId", nursery.tunnel()));
            }
            case "RELEASE" -> record(layer, "RELEASED", Map.of("destination", "SALE"));
            default -> throw new AssertionError("nobody knows how to " + job);
        };
    }

    /** With the leaf that its roots carry, into the tent: under cover where that is what it is cut for. */
    private JsonNode sever(JsonNode layer, String job) {
        JsonNode balance = nursery.grower()
                .get("/api/v1/layers/" + layer.path("code").asString() + "/leaf-balance")
                .expect(200)
                .body();
        JsonNode tent = balance.path("days").get(0).path("shelters").get(3);
        int leaves = balance.path("leaves").asInt();
        Map<String, Object> cut = new HashMap<>(Map.of(
                "leavesBefore",
                leaves,
                "leavesLeft",
                leaves - tent.path("remove").asInt(),
                "shelter",
                "MIST_TENT"));
        if (job.equals("SEVER_TO_COVER") || job.equals("SEVER_DORMANT")) {
            cut.put("placeId", nursery.tunnel());
        }
        truth.sever(layer.path("code").asString(), leaves - tent.path("remove").asInt());
        return record(layer, "SEVERED", cut);
    }

    private JsonNode pot(JsonNode layer) {
        truth.pot(layer.path("code").asString());
        JsonNode advice = nursery.grower()
                .get("/api/v1/layers/" + layer.path("code").asString() + "/pot-advice")
                .expect(200)
                .body();
        return record(
                layer,
                "POTTED",
                Map.of(
                        "medium",
                        "LIGHT_MIX",
                        "potMl",
                        3000,
                        "pot",
                        advice.path("chosen").asString(),
                        "ladder",
                        advice.path("ladder").asString()));
    }

    private JsonNode page(String code) {
        return read(nursery.grower().get("/api/v1/layers/" + code).expect(200).body());
    }

    /** No sentence has a name of the program in it, counts nothing, or leaves a hole. */
    private static JsonNode read(JsonNode layer) {
        layer.path("advice").forEach(said -> {
            for (JsonNode one : said.isArray() ? said.values() : List.of(said)) {
                String words = one.asString("");
                boolean isSentence = words.contains(" ");
                if (isSentence && MISFITS.matcher(words).find()) {
                    throw new AssertionError(layer.path("code").asString() + " reads: " + words);
                }
            }
        });
        return layer;
    }

    private JsonNode record(JsonNode layer, String kind, Map<String, Object> details) {
        String code = layer.path("code").asString();
        Client.Answer answer = nursery.record(code, Map.of("kind", kind, "details", details));
        JsonNode after = answer.expect(201).body();
        if (!after.at("/recorded/conflict").isNull()) {
            throw new AssertionError(kind + " on " + code + " does not fit: " + after.path("recorded"));
        }
        return read(after.path("layer"));
    }
}
