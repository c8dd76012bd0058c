package org.kindgirdle.server.persistence;

import java.util.function.Supplier;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * What many parts of one answer ask for, and must all be told alike: the site's time zone, the edition of the master
 * data, who asks. A request that only reads asks the database for it once; one that writes asks anew each time, for it
 * may have changed it itself.
 */
public final class OncePerRead {

    private static final String STILL = OncePerRead.class.getName() + ".still";

    private OncePerRead() {}

    /** @param name of what is asked for, the same for each kind of it */
    @SuppressWarnings("unchecked")
    public static <T> T get(String name, Supplier<T> ask) {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request)
                || !standsStill(request)) {
            return ask.get();
        }
        String key = key(name);
        Object known = request.getAttribute(key, RequestAttributes.SCOPE_REQUEST);
        if (known == null) {
            known = ask.get();
            request.setAttribute(key, known, RequestAttributes.SCOPE_REQUEST);
        }
        return (T) known;
    }

    /** What has just been read in another way, for whoever asks for it next in such a request. */
    public static void know(String name, Object value) {
        if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                && standsStill(request)) {
            request.setAttribute(key(name), value, RequestAttributes.SCOPE_REQUEST);
        }
    }

    private static String key(String name) {
        return OncePerRead.class.getName() + "." + name;
    }

    /** What this request writes changes nothing that is asked for once: it may be told alike, too. */
    public static void markStandingStill() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null) {
            request.setAttribute(STILL, true, RequestAttributes.SCOPE_REQUEST);
        }
    }

    private static boolean standsStill(ServletRequestAttributes request) {
        return request.getRequest().getMethod().equals("GET")
                || request.getAttribute(STILL, RequestAttributes.SCOPE_REQUEST) != null;
    }
}
