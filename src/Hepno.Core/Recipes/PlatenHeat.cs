namespace Hepno.Core.Recipes;

/// <summary>How a platen warms and cools: first order, by the press's own warm-up and heat loss (docs/trade 5). At full
/// power it would end at <see cref="FullPowerF"/>; off, it falls towards the room.</summary>
public static class PlatenHeat
{
    /// <summary>Where a platen that was never switched back would end (assumed), °F.</summary>
    public const double FullPowerF = 500;

    private const double StatedF = 300;

    /// <summary>Heat after some minutes, °F: it rises until the set-point and holds it; above the set-point, or off, it
    /// loses heat.</summary>
    /// <param name="press">Its warm-up minutes to 300 °F and its loss in °F a minute there.</param>
    /// <param name="fromF">Heat at the beginning, °F.</param>
    /// <param name="setF">What it is set to, °F; null when it is off.</param>
    /// <param name="minutes">Minutes since, 0 or more.</param>
    public static double After(Press press, double fromF, double? setF, double minutes)
    {
        var target = setF ?? Press.RoomF;
        return fromF < target
            ? Math.Min(target, FullPowerF - ((FullPowerF - fromF) * Math.Exp(-minutes / RiseMinutes(press))))
            : Math.Max(target, Press.RoomF + ((fromF - Press.RoomF) * Math.Exp(-minutes / FallMinutes(press))));
    }

    /// <summary>Minutes until a set-point is reached; 0 when it is, endless when it cannot be.</summary>
    public static double MinutesUntil(Press press, double fromF, double setF)
    {
        if (Math.Abs(fromF - setF) < 0.5)
        {
            return 0;
        }
        if (fromF < setF)
        {
            return setF >= FullPowerF
                ? double.PositiveInfinity
                : RiseMinutes(press) * Math.Log((FullPowerF - fromF) / (FullPowerF - setF));
        }
        return setF <= Press.RoomF
            ? double.PositiveInfinity
            : FallMinutes(press) * Math.Log((fromF - Press.RoomF) / (setF - Press.RoomF));
    }

    // so that cold to 300 °F takes what the press is said to take
    private static double RiseMinutes(Press press) =>
        Math.Max(press.WarmUpMinutes, 1e-3) / Math.Log((FullPowerF - Press.RoomF) / (FullPowerF - StatedF));

    // so that at 300 °F it loses what the press is said to lose
    private static double FallMinutes(Press press) => (StatedF - Press.RoomF) / press.DropFPerMinute;
}
