using Hepno.Core.Ids;
using Hepno.Core.Measures;

namespace Hepno.Web.Wire;

/// <summary>A request that is refused; thrown inside a write it also takes the write back. <see cref="Refusals"/> turns
/// it into problem details.</summary>
internal sealed class RefusedException(
    int status,
    IReadOnlyList<Problem> problems,
    IDictionary<string, object?>? more = null
) : Exception(problems[0].Sentence)
{
    public RefusedException(int status, string code, string sentence, string remedy, string where = "")
        : this(status, [new Problem(code, sentence, where, remedy)]) { }

    public int Status { get; } = status;

    public IReadOnlyList<Problem> Problems { get; } = problems;

    public IDictionary<string, object?>? More { get; } = more;

    public static RefusedException NoSuch<TId>(string what, TId id)
        where TId : struct, IId => NoSuch(what, id.Text);

    /// <inheritdoc cref="NoSuch{TId}"/>
    public static RefusedException NoSuch(string what, string id) =>
        new(
            404,
            "unknown",
            $"There is no {what} \"{(id.Length > 60 ? id[..60] : id)}\".",
            remedy: "It may have been removed, or the address is mistyped."
        );

    /// <summary>Refuses when anything is wrong.</summary>
    public static void IfAny(IEnumerable<Problem> problems)
    {
        var all = problems.ToList();
        if (all.Count > 0)
        {
            throw new RefusedException(400, all);
        }
    }
}
