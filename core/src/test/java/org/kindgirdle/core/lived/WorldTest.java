package org.kindgirdle.core.lived;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.truth.Clime;
import org.kindgirdle.core.truth.Kind;
import org.kindgirdle.core.truth.Luck;
import org.kindgirdle.core.truth.Sky;

/** The made-up world by itself: it owes nothing to what is tried in it, and is what it says that it is. */
class WorldTest {

    @Test
    void the_world_knows_nothing_of_rules_growth_or_learning() {
        ArchRuleDefinition.classes()
                .that()
                .resideInAPackage("org.kindgirdle.core.truth")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("org.kindgirdle.core.truth", "java..", "org.jspecify..")
                .check(new ClassFileImporter().importPackages("org.kindgirdle.core.truth"));
    }

    static List<Clime> climes() {
        return Clime.six();
    }

    @ParameterizedTest
    @MethodSource("climes")
    void years_of_its_weather_come_to_the_normals_of_its_climate(Clime clime) {
        Sky sky = new Sky(clime, 2031, 40, 7);
        for (int month = 1; month <= 12; month++) {
            double low = 0;
            double high = 0;
            int days = 0;
            for (int year = 2031; year < 2069; year++) {
                LocalDate first = LocalDate.of(year, month, 1);
                for (int day = 0; day < first.lengthOfMonth(); day++) {
                    low += sky.on(first.plusDays(day)).minC();
                    high += sky.on(first.plusDays(day)).maxC();
                    days++;
                }
            }
            assertThat(low / days).as("month %d", month).isCloseTo(clime.minC().get(month - 1), within(1.5));
            assertThat(high / days).as("month %d", month).isCloseTo(clime.maxC().get(month - 1), within(1.7));
        }
    }

    @Test
    void a_warm_day_is_followed_by_a_warm_one() {
        Sky sky = new Sky(Clime.MARITIME, 2031, 20, 3);
        double together = 0;
        double apart = 0;
        for (int year = 2031; year < 2050; year++) {
            LocalDate first = LocalDate.of(year, 2, 1);
            for (int day = 0; day < 27; day++) {
                double today = sky.on(first.plusDays(day)).meanC() - 5.2;
                together += today * (sky.on(first.plusDays(day + 1)).meanC() - 5.2);
                apart += today * (sky.on(first.plusDays((day + 14) % 27)).meanC() - 5.2);
            }
        }
        assertThat(together).isGreaterThan(2 * Math.abs(apart));
    }

    @Test
    void plants_differ_from_their_profiles_and_worlds_from_one_another() {
        SpeciesProfile quince = ShippedSpecies.of("CYDOBL");
        Kind believed = ShippedSpecies.kind(quince);
        double sum = 0;
        double squares = 0;
        for (int seed = 0; seed < 400; seed++) {
            double off = Math.log(believed.asItIs(new Luck(seed)).days() / believed.days());
            sum += off;
            squares += off * off;
        }
        assertThat(sum / 400).isCloseTo(0, within(.05));
        assertThat(Math.sqrt(squares / 400)).isCloseTo(.25, within(.03));
    }

    @Test
    void the_same_seed_lives_the_same_lives() {
        LivedNursery.Result once = LivedNursery.live(Clime.LOWLAND, 5, number -> number % 10 == 3, 13);
        LivedNursery.Result again = LivedNursery.live(Clime.LOWLAND, 5, number -> number % 10 == 3, 13);
        assertThat(again).isEqualTo(once);
        assertThat(once.told()).isNotEmpty();
        assertThat(LivedNursery.live(Clime.LOWLAND, 6, number -> number % 10 == 3, 13)
                        .told())
                .isNotEqualTo(once.told());
    }
}
