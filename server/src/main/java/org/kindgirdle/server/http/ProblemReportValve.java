package org.kindgirdle.server.http;

import java.io.IOException;
import java.io.Writer;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.kindgirdle.server.problem.ProblemBody;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.http.HttpStatus;

/** What the container refuses by itself (odd methods, broken request lines) is said as everything else is. */
public final class ProblemReportValve extends ErrorReportValve {

    @Override
    protected void report(Request request, Response response, Throwable failure) {
        int status = response.getStatus();
        if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
            return;
        }
        if (status == HttpStatus.NOT_IMPLEMENTED.value()) {
            // a method that nobody has heard of is the sender's mistake
            response.setStatus(HttpStatus.METHOD_NOT_ALLOWED.value());
            status = response.getStatus();
        }
        HttpStatus known = HttpStatus.resolve(status);
        String title = known == null ? "Refused" : known.getReasonPhrase();
        try {
            response.setContentType("application/problem+json");
            response.setCharacterEncoding("UTF-8");
            Writer out = response.getReporter();
            if (out != null) {
                out.write(ProblemBody.of(
                        known == null ? HttpStatus.BAD_REQUEST : known, title, Refusals.say("address.wrongWay")));
                response.finishResponse();
            }
        } catch (IOException gone) {
            // whoever asked has left
        }
    }
}
