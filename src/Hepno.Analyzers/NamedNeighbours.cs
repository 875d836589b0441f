using System.Collections.Immutable;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;
using Microsoft.CodeAnalysis.Diagnostics;

namespace Hepno.Analyzers;

/// <summary>
/// Two neighbouring parameters of one primitive type are not told apart by their place alone: at least one of the two
/// arguments is named, or says itself what it is. Then the two cannot be exchanged unseen.
/// </summary>
/// <remarks>
/// An argument says itself what it is where it is called as its parameter is (<c>style.HeatCeilingF</c> for
/// <c>heatCeilingF</c>), and a literal without a space where a code is wanted. What is known by its order everywhere
/// stays as it is: points, sizes, boxes and ranges.
/// </remarks>
[DiagnosticAnalyzer(LanguageNames.CSharp)]
public sealed class NamedNeighbours : DiagnosticAnalyzer
{
    /// <summary>The code of what is found.</summary>
    public const string Id = "HEP001";

    private static readonly DiagnosticDescriptor Rule = new(
        Id,
        "Neighbours of one primitive type are named",
        "'{0}' and '{1}' of {2} could be exchanged: name one of them",
        "Hepno",
        DiagnosticSeverity.Warning,
        isEnabledByDefault: true
    );

    private static readonly SpecialType[] Primitive =
    [
        SpecialType.System_String,
        SpecialType.System_Double,
        SpecialType.System_Decimal,
        SpecialType.System_Int32,
        SpecialType.System_Int64,
        SpecialType.System_Boolean,
    ];

    private static readonly string[][] KnownByOrder =
    [
        ["x", "y", "baseline", "left", "top", "right", "bottom", "width", "height", "w", "h"],
        ["x1", "y1", "x2", "y2"],
        ["width", "height", "length", "gap", "margin"],
        ["from", "to", "until"],
        ["least", "most"],
        ["r", "g", "b"],
        // the six numbers of a transform of a plane
        ["a", "b", "c", "d", "e", "f"],
    ];

    private static readonly string[] Units = ["In2", "In", "F", "Seconds", "Minutes", "Mm", "Pt"];
    private static readonly string[] Codes = ["code", "id", "kind", "table", "column", "type"];

    /// <inheritdoc/>
    public override ImmutableArray<DiagnosticDescriptor> SupportedDiagnostics { get; } = [Rule];

    /// <inheritdoc/>
    public override void Initialize(AnalysisContext context)
    {
        context.ConfigureGeneratedCodeAnalysis(GeneratedCodeAnalysisFlags.None);
        context.EnableConcurrentExecution();
        context.RegisterSyntaxNodeAction(Look, SyntaxKind.ArgumentList);
    }

    private static void Look(SyntaxNodeAnalysisContext context)
    {
        var arguments = ((ArgumentListSyntax)context.Node).Arguments;
        if (arguments.Count < 2 || Called(context) is not { } called)
        {
            return;
        }
        var parameters = called.Parameters;
        for (var i = 0; i + 1 < Math.Min(arguments.Count, parameters.Length); i++)
        {
            if (
                AreNeighbours(parameters[i], parameters[i + 1])
                && !IsTold(arguments[i], parameters[i])
                && !IsTold(arguments[i + 1], parameters[i + 1])
            )
            {
                var whose = called.MethodKind == MethodKind.Constructor ? called.ContainingType.Name : called.Name;
                context.ReportDiagnostic(
                    Diagnostic.Create(
                        Rule,
                        arguments[i + 1].GetLocation(),
                        parameters[i].Name,
                        parameters[i + 1].Name,
                        whose
                    )
                );
            }
        }
    }

    // ours, and seen from outside its type: what others wrote has names nobody here chose
    private static IMethodSymbol? Called(SyntaxNodeAnalysisContext context) =>
        context.SemanticModel.GetSymbolInfo(context.Node.Parent!, context.CancellationToken).Symbol
            is IMethodSymbol { DeclaredAccessibility: Accessibility.Public } called
        && called.ContainingAssembly.Name.StartsWith("Hepno", StringComparison.Ordinal)
            ? called
            : null;

    private static bool AreNeighbours(IParameterSymbol a, IParameterSymbol b) =>
        Primitive.Contains(Plain(a.Type).SpecialType)
        && SymbolEqualityComparer.Default.Equals(Plain(a.Type), Plain(b.Type))
        && !KnownByOrder.Any(order => order.Any(x => order.Any(y => Are(Stem(a.Name), x, Stem(b.Name), y))));

    // "platenWidth" and "platenHeight" are known by their order as "width" and "height" are
    private static bool Are(string a, string x, string b, string y) =>
        a.EndsWith(x, StringComparison.Ordinal)
        && b.EndsWith(y, StringComparison.Ordinal)
        && (x.Length > 2 || a == x)
        && (y.Length > 2 || b == y)
        && a.Substring(0, a.Length - x.Length) == b.Substring(0, b.Length - y.Length);

    private static ITypeSymbol Plain(ITypeSymbol type) =>
        type is INamedTypeSymbol { OriginalDefinition.SpecialType: SpecialType.System_Nullable_T } nullable
            ? nullable.TypeArguments[0]
            : type;

    private static string Stem(string name)
    {
        var unit = Units.FirstOrDefault(u => name.Length > u.Length && name.EndsWith(u, StringComparison.Ordinal));
        return name.Substring(0, name.Length - (unit?.Length ?? 0)).ToLowerInvariant();
    }

    private static bool IsTold(ArgumentSyntax argument, IParameterSymbol parameter) =>
        argument.NameColon is not null
        || (
            argument.Expression is LiteralExpressionSyntax { Token.Value: string text }
            && Codes.Contains(parameter.Name, StringComparer.OrdinalIgnoreCase)
            && text.All(c => c is (>= 'a' and <= 'z') or (>= '0' and <= '9') or '-' or '_' or '.')
        )
        || IsCalled(Said(argument.Expression), parameter.Name);

    // "heatCeilingF" is also said by "styleHeatCeilingF"
    private static bool IsCalled(string said, string name) =>
        said.Equals(name, StringComparison.OrdinalIgnoreCase)
        || (
            name.Length > 1
            && said.EndsWith(char.ToUpperInvariant(name[0]) + name.Substring(1), StringComparison.Ordinal)
        );

    private static string Said(ExpressionSyntax expression) =>
        expression switch
        {
            IdentifierNameSyntax named => named.Identifier.Text,
            MemberAccessExpressionSyntax member => member.Name.Identifier.Text,
            MemberBindingExpressionSyntax member => member.Name.Identifier.Text,
            ConditionalAccessExpressionSyntax maybe => Said(maybe.WhenNotNull),
            InvocationExpressionSyntax call => Said(call.Expression),
            ParenthesizedExpressionSyntax inner => Said(inner.Expression),
            CastExpressionSyntax cast => Said(cast.Expression),
            PostfixUnaryExpressionSyntax sure => Said(sure.Operand),
            BinaryExpressionSyntax { RawKind: (int)SyntaxKind.CoalesceExpression } or => Said(or.Left),
            _ => "",
        };
}
