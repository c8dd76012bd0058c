package org.kindgirdle.server.harness;

import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/** Gives a test the nursery, started once a JVM. Its clock is put back to the tests' day before every class. */
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
        return nursery(context);
    }

    private static TestNursery nursery(ExtensionContext context) {
        return context.getRoot()
                .getStore(ExtensionContext.Namespace.GLOBAL)
                .getOrComputeIfAbsent(TestNursery.class, type -> new TestNursery(), TestNursery.class);
    }
}
