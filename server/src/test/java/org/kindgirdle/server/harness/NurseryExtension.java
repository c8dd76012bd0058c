package org.kindgirdle.server.harness;

import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/**
 * Gives a test the nursery, started once a JVM. Its clock is put back to the tests' day before every class, and before
 * every test that has an instance of its own: none depends on where another has left it.
 */
public final class NurseryExtension implements ParameterResolver, BeforeAllCallback {

    @Override
    public void beforeAll(ExtensionContext context) {
        nursery(context).clock().moveTo(TestNursery.TODAY);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == TestNursery.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        TestNursery nursery = nursery(context);
        nursery.clock().moveTo(TestNursery.TODAY);
        return nursery;
    }

    private static TestNursery nursery(ExtensionContext context) {
        return context.getRoot()
                .getStore(ExtensionContext.Namespace.GLOBAL)
                .getOrComputeIfAbsent(TestNursery.class, type -> new TestNursery(), TestNursery.class);
    }
}
