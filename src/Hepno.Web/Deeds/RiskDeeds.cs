using Hepno.Core.Orders;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>The risk of garments the customer brings.</summary>
internal static class RiskDeeds
{
    private const int LongestName = 200;

    /// <summary>Who takes the risk of a line of the customer's own garments; said again it takes the place of what was
    /// said.</summary>
    public static long TakeRisk(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        RiskTaken risk,
        long seen,
        Deed deed
    )
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        if (!c.Line(risk.LineId).Asked.Theirs)
        {
            throw new RefusedException(
                409,
                "not-theirs",
                $"{c.Line(risk.LineId).What} are bought by the shop.",
                remedy: "Only garments the customer brings need their word.",
                "lineId"
            );
        }
        if (!risk.SpotTested && risk.AcceptedBy.Trim().Length is 0 or > LongestName)
        {
            throw new RefusedException(
                400,
                "empty",
                "Nobody takes the risk, and the cloth is not tested.",
                remedy: "Write down who says that a spoiled one is theirs, or test a spot of the cloth.",
                "acceptedBy"
            );
        }
        return OrderDeeds.Put(connection, c, seen, deed, f =>
            f with
            {
                Gathering = f.Gathering with
                {
                    Risks =
                    [
                        .. f.Gathering.Risks.Where(r => r.LineId != risk.LineId),
                        risk with
                        {
                            AcceptedBy = risk.AcceptedBy.Trim(),
                            At = deed.At,
                        },
                    ],
                },
            }
        );
    }
}
