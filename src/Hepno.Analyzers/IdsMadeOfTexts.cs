using System.Collections.Immutable;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.Diagnostics;
using Microsoft.CodeAnalysis.Operations;

namespace Hepno.Analyzers;

/// <summary>
/// A text that is not written out where it stands becomes an id only by <c>new</c>: the kind is then said in the
/// source, and a text that is the id of something else is seen to be passed off as it.
/// </summary>
/// <remarks>A missing text is worse than the wrong one: without this, <c>null</c> too would be taken for an
/// id.</remarks>
[DiagnosticAnalyzer(LanguageNames.CSharp)]
public sealed class IdsMadeOfTexts : DiagnosticAnalyzer
{
    /// <summary>The code of what is found.</summary>
    public const string Id = "HEP002";

    private static readonly DiagnosticDescriptor Rule = new(
        Id,
        "A text becomes an id by new",
        "this text becomes the id of {0} unsaid: write new and the kind",
        "Hepno",
        DiagnosticSeverity.Warning,
        isEnabledByDefault: true
    );

    /// <inheritdoc/>
    public override ImmutableArray<DiagnosticDescriptor> SupportedDiagnostics { get; } = [Rule];

    /// <inheritdoc/>
    public override void Initialize(AnalysisContext context)
    {
        context.ConfigureGeneratedCodeAnalysis(GeneratedCodeAnalysisFlags.None);
        context.EnableConcurrentExecution();
        context.RegisterOperationAction(Look, OperationKind.Conversion);
    }

    private static void Look(OperationAnalysisContext context)
    {
        var conversion = (IConversionOperation)context.Operation;
        if (
            conversion
                is { IsImplicit: true, OperatorMethod.ContainingType: { Name: "Id", TypeArguments.Length: 1 } id }
            && id.ContainingNamespace.ToDisplayString() == "Hepno.Core.Ids"
            && conversion.Operand.ConstantValue is not { HasValue: true, Value: string }
        )
        {
            context.ReportDiagnostic(
                Diagnostic.Create(Rule, conversion.Syntax.GetLocation(), id.TypeArguments[0].Name)
            );
        }
    }
}
