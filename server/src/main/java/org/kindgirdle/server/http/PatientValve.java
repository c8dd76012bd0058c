package org.kindgirdle.server.http;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.tomcat.util.net.ApplicationBufferHandler;

/**
 * Reads what nobody wanted of a body, so that a refusal arrives; but not for long, and not for many at once: whoever
 * sends a byte now and then would else hold a thread of the server for as long as they like.
 */
final class PatientValve extends ValveBase {

    private static final long PATIENCE_NANOS = TimeUnit.SECONDS.toNanos(5);
    private static final int AT_ONCE = 8;

    private final Semaphore turns = new Semaphore(AT_ONCE);

    PatientValve() {
        super(true);
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        getNext().invoke(request, response);
        AtomicBoolean isRead = new AtomicBoolean();
        request.getCoyoteRequest().action(ActionCode.REQUEST_BODY_FULLY_READ, isRead);
        if (isRead.get() || request.isAsync()) {
            return;
        }
        boolean isAtEnd = false;
        if (turns.tryAcquire()) {
            try {
                isAtEnd = readToEnd(request);
            } finally {
                turns.release();
            }
        }
        if (!isAtEnd) {
            request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
        }
    }

    private static boolean readToEnd(Request request) {
        long until = System.nanoTime() + PATIENCE_NANOS;
        Taken taken = new Taken();
        try {
            while (System.nanoTime() < until) {
                if (request.getCoyoteRequest().doRead(taken) < 0) {
                    return true;
                }
            }
            return false;
        } catch (IOException gone) {
            return false;
        }
    }

    /** Lets go of what it is given. */
    private static final class Taken implements ApplicationBufferHandler {

        private ByteBuffer buffer = ByteBuffer.allocate(0);

        @Override
        public void setByteBuffer(ByteBuffer given) {
            buffer = given;
        }

        @Override
        public ByteBuffer getByteBuffer() {
            return buffer;
        }

        @Override
        public void expand(int size) {
            // nothing is kept
        }
    }
}
