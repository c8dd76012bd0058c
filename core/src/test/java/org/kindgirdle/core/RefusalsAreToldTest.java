package org.kindgirdle.core;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.util.DocTrees;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import com.sun.source.util.TreeScanner;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Whoever calls the core reads in its description what it refuses, and need not read the code for it. */
class RefusalsAreToldTest {

    @Test
    void every_public_method_that_refuses_says_so() throws IOException {
        List<Path> sources;
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            sources = files.filter(file -> file.toString().endsWith(".java")).toList();
        }
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        List<String> silent = new ArrayList<>();
        int refusing = 0;
        try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, StandardCharsets.UTF_8)) {
            JavacTask task = (JavacTask) compiler.getTask(
                    null, files, null, List.of("-proc:none"), null, files.getJavaFileObjectsFromPaths(sources));
            DocTrees docs = DocTrees.instance(task);
            for (CompilationUnitTree unit : task.parse()) {
                Refusing scanner = new Refusing(unit, docs);
                scanner.scan(unit, null);
                silent.addAll(scanner.silent);
                refusing += scanner.count;
            }
        }
        assertThat(refusing).as("methods that refuse").isGreaterThan(100);
        assertThat(silent).isEmpty();
    }

    private static final class Refusing extends TreePathScanner<@Nullable Void, @Nullable Void> {

        private final CompilationUnitTree unit;
        private final DocTrees docs;
        private final List<String> silent = new ArrayList<>();
        private int count;

        Refusing(CompilationUnitTree unit, DocTrees docs) {
            this.unit = unit;
            this.docs = docs;
        }

        @Override
        public @Nullable Void visitMethod(MethodTree method, @Nullable Void nothing) {
            TreePath path = getCurrentPath();
            if (method.getModifiers().getFlags().contains(Modifier.PUBLIC) && refuses(method)) {
                count++;
                String told = docs.getDocComment(path);
                if (told == null || !told.contains("@throws")) {
                    ClassTree type = (ClassTree) path.getParentPath().getLeaf();
                    silent.add(unit.getPackageName() + "." + type.getSimpleName() + "." + method.getName());
                }
            }
            return super.visitMethod(method, nothing);
        }

        /** Whether it throws, or has a value checked. */
        private static boolean refuses(MethodTree method) {
            AtomicBoolean found = new AtomicBoolean();
            new TreeScanner<@Nullable Void, @Nullable Void>() {
                @Override
                public @Nullable Void visitThrow(ThrowTree thrown, @Nullable Void nothing) {
                    found.set(true);
                    return super.visitThrow(thrown, nothing);
                }

                @Override
                public @Nullable Void visitMethodInvocation(MethodInvocationTree call, @Nullable Void nothing) {
                    if (call.getMethodSelect().toString().startsWith("Require.")) {
                        found.set(true);
                    }
                    return super.visitMethodInvocation(call, nothing);
                }
            }.scan(method.getBody(), null);
            return found.get();
        }
    }
}
