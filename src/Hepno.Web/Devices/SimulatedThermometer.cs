using Hepno.Core.Recipes;
using NodaTime;

namespace Hepno.Web.Devices;

/// <summary>A made-up surface thermometer that ships with the program and says so: what it reads on a press follows
/// from the press, the day and the point alone. A real one would answer the same call.</summary>
internal static class SimulatedThermometer
{
    private const int Corner = 5;
    private const int Middle = 4;

    private static readonly LocalDate FirstDay = new(1, 1, 1);

    /// <summary>The reading at a point, °F: the press's own error, a little less at the corners, and the day's
    /// drift.</summary>
    /// <param name="pressId">Which press.</param>
    /// <param name="point">Which of the nine points, from 0.</param>
    /// <param name="setF">What the press is set to, °F.</param>
    /// <param name="day">The day.</param>
    public static double Read(PressId pressId, int point, double setF, LocalDate day)
    {
        var error = (Dice.Seed(pressId.Text) % 15) - 9;
        int corner;
        if (point is 0 or 2 or 6 or 8)
        {
            corner = -Corner;
        }
        else if (point == Middle)
        {
            corner = 2;
        }
        else
        {
            corner = 0;
        }

        var weak = Dice.Seed(pressId + "weak") % PlatenMap.Points == point ? -6 : 0;
        var drift = (Dice.Seed($"{pressId}{point}{Period.DaysBetween(FirstDay, day)}") % 5) - 2;
        return setF + error + corner + weak + drift;
    }
}
