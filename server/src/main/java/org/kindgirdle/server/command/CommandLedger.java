package org.kindgirdle.server.command;

import java.sql.SQLException;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.kindgirdle.server.digest.Sha256;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Runs a command once. The client makes its UUID; the row of the command is written in the same transaction as its
 * effect, so that a repeat, also one that arrives at the same moment, finds the answer of the first.
 */
@Service
public class CommandLedger {

    /** Fields that requests have got since 0.3. */
    private static final Set<String> ADDED = Set.of("occurredOn", "ringMm", "wrapped", "hollow");

    /** MariaDB's error for a transaction that was taken back for another. */
    private static final int DEADLOCK = 1213;

    private static final int MAX_AGAIN = 3;

    private final CommandRepository commands;
    private final WriteTurns turns;
    private final TransactionTemplate transaction;
    private final JsonMapper json;
    private final BusinessClock clock;
    private final CurrentPerson person;

    CommandLedger(
            CommandRepository commands,
            WriteTurns turns,
            TransactionTemplate transaction,
            JsonMapper json,
            BusinessClock clock,
            CurrentPerson person) {
        this.commands = commands;
        this.turns = turns;
        this.transaction = transaction;
        this.json = json;
        this.clock = clock;
        this.person = person;
    }

    /**
     * @param id the client's UUID for this command
     * @param kind what it does, with what it does it to
     * @param body what was sent
     * @param type of the answer
     * @throws ProblemException 409 if the UUID was used for something else
     */
    public <T> T once(UUID id, String kind, Object body, Class<T> type, Supplier<T> effect) {
        return turns.inTurn(() -> tried(() -> transaction.execute(open -> write(id, kind, body, type, effect))));
    }

    /** Of two that wait for one another the database takes one back whole: it is done again, as if it had just come. */
    private static <T> T tried(Supplier<T> write) {
        for (int again = 0; ; again++) {
            try {
                return write.get();
            } catch (RuntimeException failure) {
                if (again == MAX_AGAIN || !isDeadlock(failure)) {
                    throw failure;
                }
            }
        }
    }

    private static boolean isDeadlock(Throwable failure) {
        for (Throwable one = failure; one != null; one = one.getCause()) {
            if (one instanceof SQLException sql && sql.getErrorCode() == DEADLOCK) {
                return true;
            }
        }
        return false;
    }

    private <T> T write(UUID id, String kind, Object body, Class<T> type, Supplier<T> effect) {
        String hash = hash(kind, body);
        long who = person.id();
        // the unique key makes a second sender wait here until the first has committed or gone
        int written = commands.begin(id.toString(), who, kind, hash, clock.systemNow());
        if (written == 0) {
            CommandRow stored = commands.findById(id).orElseThrow();
            if (!hash.equals(stored.bodyHash) || who != stored.personId) {
                throw ProblemException.conflict(
                        Refusals.say("uuid.title"), Refusals.say("command.uuid", "id", id), Map.of("commandId", id));
            }
            return json.readValue(stored.response, type);
        }
        T answer = effect.get();
        commands.answer(id, json.writeValueAsString(answer));
        return answer;
    }

    private String hash(String kind, Object body) {
        JsonNode tree = json.valueToTree(body);
        forgetUnsaid(tree);
        return Sha256.hex(kind + "\n" + json.writeValueAsString(tree));
    }

    /** What a command of before could not say, it does not say: sent again after an update it is the same command. */
    private static void forgetUnsaid(JsonNode tree) {
        if (tree instanceof ObjectNode object) {
            ADDED.stream().filter(name -> object.path(name).isNull()).forEach(object::remove);
        }
        tree.forEach(CommandLedger::forgetUnsaid);
    }
}
