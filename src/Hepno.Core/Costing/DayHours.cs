using NodaTime;

namespace Hepno.Core.Costing;

/// <summary>Opening hours of one weekday.</summary>
/// <param name="Open">Opens, or null on a closed day.</param>
/// <param name="Close">Closes, or null on a closed day.</param>
public sealed record DayHours(LocalTime? Open, LocalTime? Close);
