using System.Collections.Immutable;
using System.Globalization;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.Diagnostics;

namespace Hepno.Core.Tests;

/// <summary>Sources that a rule of the build is tried on.</summary>
internal static class Samples
{
    private static readonly ImmutableArray<MetadataReference> Known =
    [
        .. ((string)AppContext.GetData("TRUSTED_PLATFORM_ASSEMBLIES")!)
            .Split(Path.PathSeparator)
            .Where(p => Path.GetFileName(p).StartsWith("System.", StringComparison.Ordinal))
            .Select(p => MetadataReference.CreateFromFile(p)),
    ];

    /// <summary>What a rule finds in a source that is sound but for it: code and sentence.</summary>
    public static async Task<IReadOnlyList<string>> Found(DiagnosticAnalyzer rule, string source)
    {
        var compilation = CSharpCompilation.Create(
            "Hepno.Sample",
            [CSharpSyntaxTree.ParseText(source)],
            Known,
            new(OutputKind.DynamicallyLinkedLibrary)
        );
        Assert.Empty(compilation.GetDiagnostics().Where(d => d.Severity == DiagnosticSeverity.Error));
        var all = await compilation.WithAnalyzers([rule]).GetAnalyzerDiagnosticsAsync();
        return [.. all.Select(d => $"{d.Id} {d.GetMessage(CultureInfo.InvariantCulture)}")];
    }
}
