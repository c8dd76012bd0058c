package org.kindgirdle.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.cert.Certificate;
import java.security.cert.CertificateFactory;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLHandshakeException;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.kindgirdle.e2e.harness.Kg;
import org.kindgirdle.server.harness.MariaDbServer;

/** Phones in the nursery's network: a certificate of its own, and the page that says how to trust it. */
class LanTest {

    @TempDir
    private Path folder;

    private final int port = MariaDbServer.freePort();
    private final int trustPort = MariaDbServer.freePort();

    @Test
    void a_phone_learns_to_trust_the_nursery_and_then_reaches_it_over_tls() throws Exception {
        try (Kg kg = new Kg(folder.resolve("data"), port)
                .with("KG_TRUST_PORT", Integer.toString(trustPort))
                .with("KG_PUBLIC_ADDRESS", "https://localhost:" + port)) {
            Kg.Outcome started = kg.run("start", "--lan").expectSuccess();
            assertThat(started.said()).contains("http://localhost:" + trustPort);
            String fingerprint = started.find("fingerprint is ([0-9A-F:]{95})");

            HttpClient stranger = HttpClient.newHttpClient();
            String page = get(stranger, "http://localhost:" + trustPort + "/").body();
            assertThat(page).contains(fingerprint).contains("https://localhost:" + port);
            assertThat(get(stranger, "http://localhost:" + trustPort + "/api/v1/session")
                            .body())
                    .as("nothing but the page is served there")
                    .isEqualTo(page);
            URI secured = URI.create("https://localhost:" + port + "/actuator/health/readiness");
            assertThatThrownBy(
                            () -> stranger.send(HttpRequest.newBuilder(secured).build(), BodyHandlers.ofString()))
                    .isInstanceOf(SSLHandshakeException.class);

            String authority = get(stranger, "http://localhost:" + trustPort + "/kind-girdle-ca.crt")
                    .body();
            HttpClient phone = trusting(authority);
            assertThat(get(phone, secured.toString()).statusCode()).isEqualTo(200);
            HttpResponse<String> session = get(phone, "https://localhost:" + port + "/api/v1/session");
            assertThat(session.headers().allValues("set-cookie"))
                    .isNotEmpty()
                    .allSatisfy(cookie -> assertThat(cookie).contains("Secure"));
            assertThat(get(phone, "https://localhost:" + port + "/sw.js").statusCode())
                    .isEqualTo(200);

            assertThat(get(phone, "https://localhost:" + port + "/manifest.webmanifest")
                            .headers()
                            .firstValue("content-type"))
                    .hasValueSatisfying(type -> assertThat(type).startsWith("application/manifest+json"));

            Path tls = folder.resolve("data/secrets/tls");
            for (String file : new String[] {"ca.p12", "server.p12", "password"}) {
                assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(tls.resolve(file))))
                        .isEqualTo("rw-------");
            }
            assertThat(kg.run("status").expectSuccess().said()).contains("https://127.0.0.1:" + port);

            // the authority stays, so that no phone has to learn it anew
            byte[] before = Files.readAllBytes(tls.resolve("ca.crt"));
            kg.run("stop").expectSuccess();
            kg.run("start", "--lan").expectSuccess();
            assertThat(Files.readAllBytes(tls.resolve("ca.crt"))).isEqualTo(before);
            assertThat(get(phone, secured.toString()).statusCode()).isEqualTo(200);
        }
        assertThat(new Kg(folder.resolve("other"), port).run("start", "--wan").said())
                .contains("There is no option '--wan'");
    }

    private static HttpResponse<String> get(HttpClient client, String url) throws IOException, InterruptedException {
        return client.send(HttpRequest.newBuilder(URI.create(url)).build(), BodyHandlers.ofString());
    }

    private static HttpClient trusting(String authority) throws GeneralSecurityException, IOException {
        Certificate certificate = CertificateFactory.getInstance("X.509")
                .generateCertificate(new ByteArrayInputStream(authority.getBytes()));
        KeyStore trusted = KeyStore.getInstance(KeyStore.getDefaultType());
        trusted.load(null, null);
        trusted.setCertificateEntry("nursery", certificate);
        TrustManagerFactory factory = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        factory.init(trusted);
        SSLContext tls = SSLContext.getInstance("TLS");
        tls.init(null, factory.getTrustManagers(), null);
        return HttpClient.newBuilder().sslContext(tls).build();
    }
}
