package org.kindgirdle.server.trust;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.cert.Certificate;
import java.security.cert.CertificateFactory;
import java.util.HexFormat;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.digest.Sha256;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/**
 * Serves one page and one file over plain HTTP: a phone that does not trust the nursery yet can't be told how over
 * HTTPS. Nothing of the nursery's records is served here.
 */
@Component
@ConditionalOnExpression("${kindgirdle.trust.port:0} != 0")
class TrustServer implements SmartLifecycle {

    private static final String FILE = "/kind-girdle-ca.crt";

    private final int port;
    private final Path certificate;
    private final String address;
    private @Nullable HttpServer server;

    TrustServer(
            @Value("${kindgirdle.trust.port}") int port,
            @Value("${kindgirdle.trust.certificate}") Path certificate,
            @Value("${kindgirdle.public-address}") String address) {
        this.port = port;
        this.certificate = certificate;
        this.address = address;
    }

    @Override
    public void start() {
        try {
            byte[] file = Files.readAllBytes(certificate);
            byte[] page = page(file);
            HttpServer started = HttpServer.create(new InetSocketAddress(port), 0);
            started.createContext(
                    "/", exchange -> answer(exchange, exchange.getRequestURI().getPath(), page, file));
            started.start();
            server = started;
        } catch (IOException | GeneralSecurityException e) {
            throw new IllegalStateException(
                    "the page for phones can't be served at port " + port + ": " + e.getMessage(), e);
        }
    }

    private static void answer(HttpExchange exchange, String path, byte[] page, byte[] file) throws IOException {
        try (exchange) {
            boolean reads = exchange.getRequestMethod().equals("GET");
            byte[] body = path.equals(FILE) ? file : page;
            exchange.getResponseHeaders()
                    .set("Content-Type", path.equals(FILE) ? "application/x-x509-ca-cert" : "text/html; charset=utf-8");
            exchange.getResponseHeaders()
                    .set("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'");
            exchange.getResponseHeaders().set("X-Content-Type-Options", "nosniff");
            exchange.sendResponseHeaders(reads ? 200 : 405, reads ? body.length : -1);
            if (reads) {
                exchange.getResponseBody().write(body);
            }
        }
    }

    private byte[] page(byte[] file) throws IOException, GeneralSecurityException {
        Certificate authority =
                CertificateFactory.getInstance("X.509").generateCertificate(new ByteArrayInputStream(file));
        String fingerprint = HexFormat.ofDelimiter(":")
                .formatHex(Sha256.digest().digest(authority.getEncoded()))
                .toUpperCase(Locale.ROOT);
        try (var template = TrustServer.class.getResourceAsStream("/trust.html")) {
            if (template == null) {
                throw new IOException("trust.html is missing");
            }
            return new String(template.readAllBytes(), StandardCharsets.UTF_8)
                    .replace("{{address}}", HtmlUtils.htmlEscape(address))
                    .replace("{{file}}", FILE)
                    .replace("{{fingerprint}}", fingerprint)
                    .getBytes(StandardCharsets.UTF_8);
        }
    }

    @Override
    public void stop() {
        if (server != null) {
            server.stop(0);
            server = null;
        }
    }

    @Override
    public boolean isRunning() {
        return server != null;
    }
}
