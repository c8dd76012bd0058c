package org.kindgirdle.server.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.StringReader;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.kindgirdle.server.harness.Said;

class DumpReaderTest {

    private static final String END = "\n-- Dump completed on 2026-07-10\n";

    private final List<List<@Nullable Object>> rows = new ArrayList<>();
    private final List<String> sequences = new ArrayList<>();

    @Test
    void values_come_as_they_went() throws IOException {
        read("""
                /*!40101 SET NAMES utf8mb4 */;
                DROP TABLE IF EXISTS `note`;
                CREATE TABLE `note` (`a` text DEFAULT 'x;y', `b` int);
                LOCK TABLES `note` WRITE;
                INSERT INTO `note` VALUES
                (1,'it''s \\'so\\', \\\\ and \\n; -- no comment /* nor this */',NULL,-2.5e-3,0x00FF,''),
                (2,'桑 🌱',NULL,0,0x,'\\0');
                UNLOCK TABLES;
                DELIMITER ;;
                /*!50003 CREATE*/ /*!50003 TRIGGER t before delete on note for each row begin end */;;
                DELIMITER ;
                DO SETVAL(`layer_seq`, 50001, 0);
                """ + END);
        assertThat(rows.get(0))
                .containsExactly(
                        new BigDecimal("1"),
                        "it's 'so', \\ and \n; -- no comment /* nor this */",
                        null,
                        new BigDecimal("-0.0025"),
                        new byte[] {0, -1},
                        "");
        assertThat(rows.get(1).get(1)).isEqualTo("桑 🌱");
        assertThat(rows.get(1).get(5)).isEqualTo("\0");
        assertThat(sequences).containsExactly("layer_seq 50001 false");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\\! id > /tmp/kg-was-here\n",
                "system id\n",
                "source /etc/passwd\n",
                "\\. /etc/passwd\n",
                "SELECT LOAD_FILE('/etc/passwd');",
                "DROP DATABASE kindgirdle;",
                "GRANT ALL ON *.* TO 'x'@'%';",
                "INSERT INTO `person` SELECT * FROM mysql.user;",
                "INSERT INTO `person` VALUES (1, LOAD_FILE('/etc/passwd'));",
                "INSERT INTO `person` VALUES (1, (SELECT 1));",
                "INSERT INTO `a`.`b` VALUES (1);",
                "INSERT INTO `person` VALUES (1) ON DUPLICATE KEY UPDATE role = 'OWNER';",
                "DO SLEEP(100);",
                "DO SETVAL(`a`, (SELECT 1), 0);",
                "SET GLOBAL general_log_file = '/tmp/x';",
                "LOAD DATA INFILE '/etc/passwd' INTO TABLE person;",
                "CREATE USER x;",
                "CREATE TABLE x (a int);"
            })
    void what_no_dump_has_is_refused_and_never_run(String foreign) {
        assertThatThrownBy(() -> read("INSERT INTO `a` VALUES (1);\n" + foreign + END))
                .isInstanceOf(BackupException.class)
                .hasMessageMatching(Said.by("backup.sqlUnknown").pattern() + ".*");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "INSERT INTO `a` VALUES (1);\n",
                "INSERT INTO `a` VALUES (1,'cut o",
                "INSERT INTO `a` VALUES (1),",
                "/* never ended ",
                ""
            })
    void what_was_cut_off_is_not_taken_for_whole(String cut) {
        assertThatThrownBy(() -> read(cut)).isInstanceOf(BackupException.class);
    }

    private void read(String sql) throws IOException {
        DumpReader.read(new StringReader(sql), new DumpReader.Listener() {
            @Override
            public void row(String table, List<@Nullable Object> values) {
                rows.add(values);
            }

            @Override
            public void sequence(String name, long next, boolean isUsed) {
                sequences.add(name + " " + next + " " + isUsed);
            }
        });
    }
}
