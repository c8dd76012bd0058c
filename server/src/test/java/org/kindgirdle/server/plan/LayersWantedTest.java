package org.kindgirdle.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.time.DayOfWeek;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

@ExtendWith(NurseryExtension.class)
class LayersWantedTest {

    private static final LocalDate NEXT_AUTUMN = LocalDate.of(2027, 11, 1);

    private final TestNursery nursery;

    LayersWantedTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void plants_wanted_become_layers_a_latest_day_minutes_and_materials() {
        nursery.mother("PARPER", nursery.field());
        JsonNode numbers = numbers("PARPER", 20, NEXT_AUTUMN, .8).expect(200).body();
        int layers = numbers.path("layers").asInt();
        assertThat(layers).isGreaterThan(20).isLessThan(80);
        LocalDate latest = LocalDate.parse(numbers.path("latestSetOn").asString());
        // a release in November is one before frost: 28 days of grace and 48 on the ladder before the twentieth of
        // October
        assertThat(latest).isBetween(TODAY, LocalDate.of(2027, 10, 20).minusDays(76 + 20));
        assertThat(numbers.path("headline").asString())
                .contains("Set " + layers + " layers")
                .contains("20 plants");
        assertThat(numbers.at("/effort/set").asDouble()).isEqualTo(4.0 * layers);
        assertThat(numbers.at("/materials/labels").asInt()).isEqualTo(layers);
        assertThat(numbers.at("/materials/ties").asInt()).isEqualTo(2 * layers);
        double weekly = numbers.path("weeks")
                .valueStream()
                .mapToDouble(week -> week.path("minutes").asDouble())
                .sum();
        assertThat(weekly).isCloseTo(numbers.at("/effort/minutes").asDouble(), within(1e-6));
        assertThat(numbers.path("weeks").valueStream()).allSatisfy(week -> {
            assertThat(LocalDate.parse(week.path("monday").asString()).getDayOfWeek())
                    .isEqualTo(DayOfWeek.MONDAY);
            // two rounds of ninety minutes
            assertThat(week.path("capacity").asDouble()).isEqualTo(180);
        });
    }

    @Test
    void more_certainty_wants_more_layers_and_the_chance_of_falling_short_is_what_is_left() {
        JsonNode even = numbers("DAVINV", 10, NEXT_AUTUMN, .5).expect(200).body();
        JsonNode sure = numbers("DAVINV", 10, NEXT_AUTUMN, .95).expect(200).body();
        assertThat(sure.path("layers").asInt())
                .isGreaterThan(even.path("layers").asInt());
        assertThat(sure.at("/shortfalls/0/by").asInt()).isEqualTo(1);
        assertThat(sure.at("/shortfalls/0/p").asDouble()).isBetween(0.0, .05);
        assertThat(sure.at("/shortfalls/1/p").asDouble())
                .isLessThanOrEqualTo(sure.at("/shortfalls/0/p").asDouble());
    }

    @Test
    void room_is_counted_on_the_mothers_of_the_species_and_what_is_missing_is_said() {
        long mother = nursery.mother("HAMINT", nursery.field());
        nursery.set(mother, TODAY, 3);
        JsonNode numbers = numbers("HAMINT", 100, NEXT_AUTUMN, .8).expect(200).body();
        // a third of sixty shoots, less the three that stand under rings
        assertThat(numbers.path("roomTotal").asInt()).isEqualTo(17);
        assertThat(numbers.at("/room/0/motherId").asLong()).isEqualTo(mother);
        assertThat(numbers.path("headline").asString()).containsPattern(Said.by("layersWanted.noRoom", "room", 17));
    }

    @Test
    void what_cannot_be_ready_by_then_is_said_and_what_is_no_plan_is_refused() {
        JsonNode soon = numbers("CYDOBL", 5, TODAY.plusDays(20), .8).expect(200).body();
        assertThat(soon.path("latestSetOn").isNull()).isTrue();
        assertThat(soon.path("headline").asString()).containsPattern(Said.by("layersWanted.tooLate"));
        assertThat(numbers("CYDOBL", 5, TODAY, .8).expect(400).fields()).containsExactly("by");
        assertThat(numbers("CYDOBL", 0, NEXT_AUTUMN, .8).expect(400).fields()).containsExactly("wanted");
        assertThat(numbers("CYDOBL", 5, NEXT_AUTUMN, 1).expect(400).fields()).containsExactly("confidence");
        numbers("NOSUCH", 5, NEXT_AUTUMN, .8).expect(404);
    }

    private Client.Answer numbers(String species, int wanted, LocalDate by, double confidence) {
        return nursery.viewer()
                .get("/api/v1/season/numbers?placeId=" + nursery.field() + "&recipeId=" + nursery.recipe()
                        + "&speciesCode=" + species + "&wanted=" + wanted + "&by=" + by + "&confidence=" + confidence);
    }
}
