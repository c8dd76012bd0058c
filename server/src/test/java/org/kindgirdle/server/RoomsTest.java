package org.kindgirdle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModule;
import org.springframework.modulith.core.ApplicationModules;
import org.springframework.modulith.core.DependencyDepth;
import org.springframework.modulith.core.DependencyType;

/** The rooms of the server: which may ask which is declared with each, and drawn in the documentation. */
class RoomsTest {

    private static final Path PAGE = Path.of("../docs/architecture.md");
    private static final String BEGIN = "<!-- rooms: made by RoomsTest, -Drooms.write=true -->\n";
    private static final String END = "<!-- end of rooms -->";

    private static final ApplicationModules ROOMS = ApplicationModules.of(Application.class);

    @Test
    void each_room_asks_only_those_that_it_says() {
        ROOMS.verify();
    }

    @Test
    void no_room_says_that_it_asks_one_that_it_does_not_ask() {
        ROOMS.forEach(room -> assertThat(allowed(room))
                .as(room.getIdentifier().toString())
                .containsExactlyInAnyOrderElementsOf(asked(room)));
    }

    @Test
    void the_picture_in_the_documentation_is_what_is_built() throws IOException {
        String page = Files.readString(PAGE);
        int from = page.indexOf(BEGIN) + BEGIN.length();
        int to = page.indexOf(END);
        if (Boolean.getBoolean("rooms.write")) {
            Files.writeString(PAGE, page.substring(0, from) + picture() + page.substring(to));
        } else {
            assertThat(page.substring(from, to)).isEqualTo(picture());
        }
    }

    private static Set<String> allowed(ApplicationModule room) {
        try {
            return Set.of(Class.forName(room.getBasePackage().getName() + ".package-info")
                    .getAnnotation(org.springframework.modulith.ApplicationModule.class)
                    .allowedDependencies());
        } catch (ClassNotFoundException e) {
            throw new AssertionError(room + " does not say what it asks", e);
        }
    }

    private static Set<String> asked(ApplicationModule room) {
        return room.getDependencies(ROOMS, DependencyDepth.IMMEDIATE, DependencyType.values())
                .uniqueModules()
                .map(other -> other.getIdentifier().toString())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** Arrows that others imply are left out: whoever asks the journal may see what the journal asks. */
    private static String picture() {
        Map<String, Set<String>> all = new TreeMap<>();
        ROOMS.forEach(room -> all.put(room.getIdentifier().toString(), asked(room)));
        Map<String, Set<String>> beyond = new TreeMap<>();
        all.keySet().forEach(room -> beyond.put(room, reached(room, all)));
        StringBuilder picture = new StringBuilder("```mermaid\nflowchart TD\n");
        all.forEach((room, asked) -> asked.stream()
                .filter(one -> asked.stream()
                        .noneMatch(other -> beyond.getOrDefault(other, Set.of()).contains(one)))
                .forEach(one -> picture.append("    " + room + " --> " + one + "\n")));
        return picture.append("```\n").toString();
    }

    private static Set<String> reached(String room, Map<String, Set<String>> all) {
        Set<String> reached = new TreeSet<>();
        for (String one : all.getOrDefault(room, Set.of())) {
            reached.add(one);
            reached.addAll(reached(one, all));
        }
        return reached;
    }
}
