using System.Globalization;
using System.Text;
using NodaTime;

namespace Hepno.Core.Measures;

/// <summary>Figures as text for documents and sentences. The screens' words/shown.ts runs the same table of cases
/// (tests/cases/shown.csv).</summary>
public static class Shown
{
    private const string Minus = "\u2212";

    /// <summary>An amount with the currency's sign: <c>$1,008.00</c>.</summary>
    public static string Money(decimal amount, FigureFormat f)
    {
        var bare = Bare(Math.Abs(amount), f);
        var signed = f.SignAfter ? $"{bare} {f.Sign}" : $"{f.Sign}{bare}";
        return Measures.Money.Charged(amount, f.MinorDigits) < 0 ? Minus + signed : signed;
    }

    /// <summary>An amount without sign, as inside drawings: <c>1,008.00</c>.</summary>
    public static string Bare(decimal amount, FigureFormat f) =>
        Grouped(Measures.Money.Charged(amount, f.MinorDigits), f.MinorDigits, f);

    /// <summary>Profit an hour: whole units of the currency, <c>$75</c>.</summary>
    public static string AnHour(decimal amount, FigureFormat f) =>
        Money(Measures.Money.Charged(amount, 0), f with { MinorDigits = 0 });

    /// <summary>A length in the shop's unit: <c>10.5 in</c> or <c>26.7 cm</c>.</summary>
    public static string Length(double inches, FigureFormat f) =>
        f.Metric ? $"{Number(inches * Units.CmPerInch, 1, f)} cm" : $"{Number(inches, 2, f)} in";

    /// <summary>A length of roll, in what rolls are sold by: <c>19 ft</c> or <c>5.79 m</c>.</summary>
    public static string Roll(double inches, FigureFormat f) =>
        f.Metric
            ? $"{Number(inches * Units.CmPerInch / 100, 2, f)} m"
            : $"{Number(inches / Units.InchesPerFoot, 2, f)} ft";

    /// <summary>A width and a height: <c>10 × 11 in</c>.</summary>
    public static string Size(double widthIn, double heightIn, FigureFormat f) =>
        f.Metric
            ? $"{Number(widthIn * Units.CmPerInch, 1, f)} × {Number(heightIn * Units.CmPerInch, 1, f)} cm"
            : $"{Number(widthIn, 2, f)} × {Number(heightIn, 2, f)} in";

    /// <summary>A temperature stated in Fahrenheit, in the shop's unit.</summary>
    public static string Temperature(double fahrenheit, FigureFormat f) =>
        f.Celsius ? $"{Number(Units.FahrenheitToCelsius(fahrenheit), 0, f)} °C" : $"{Number(fahrenheit, 0, f)} °F";

    /// <summary>A stretch of time: <c>9 s</c>, <c>48 min</c>, <c>1 h 24</c>.</summary>
    public static string Duration(double seconds)
    {
        if (seconds < 120)
        {
            return $"{Math.Round(seconds, MidpointRounding.AwayFromZero).ToString(CultureInfo.InvariantCulture)} s";
        }
        var minutes = (long)Math.Round(seconds / 60, MidpointRounding.AwayFromZero);
        return minutes < 60 ? $"{minutes} min" : $"{minutes / 60} h {minutes % 60:00}";
    }

    /// <summary>A day: <c>Fri 12 Jun</c>.</summary>
    public static string Day(LocalDate day, FigureFormat f)
    {
        var names = DayNames.In(f.Language);
        var (weekday, month) = (names.Days[day.Weekday()], names.Months[day.Month - 1]);
        return f.DayFirst ? $"{weekday} {day.Day} {month}" : $"{weekday} {month} {day.Day}";
    }

    /// <summary>A day with its year, as on documents: <c>12 Jun 2026</c>.</summary>
    public static string DayAndYear(LocalDate day, FigureFormat f)
    {
        var month = DayNames.In(f.Language).Months[day.Month - 1];
        return f.DayFirst ? $"{day.Day} {month} {day.Year}" : $"{month} {day.Day}, {day.Year}";
    }

    /// <summary>A clock time: <c>14:00</c> or <c>2:00 pm</c>.</summary>
    public static string Clock(LocalTime time, FigureFormat f) =>
        f.TwelveHours
            ? $"{(time.Hour % 12 == 0 ? 12 : time.Hour % 12)}:{time.Minute:00} {(time.Hour < 12 ? "am" : "pm")}"
            : $"{time.Hour}:{time.Minute:00}";

    /// <summary>A day and a clock time: <c>Thu 11 Jun 14:00</c>.</summary>
    public static string Moment(LocalDateTime at, FigureFormat f) => $"{Day(at.Date, f)} {Clock(at.TimeOfDay, f)}";

    /// <summary>A number with at most so many decimals, no trailing zeros.</summary>
    public static string Number(double value, int decimals, FigureFormat f)
    {
        var rounded = Math.Round((decimal)value, decimals, MidpointRounding.AwayFromZero);
        var text = Grouped(rounded, decimals, f);
        if (decimals == 0)
        {
            return text;
        }
        return text.TrimEnd('0') is var t && t.EndsWith(f.DecimalMark, StringComparison.Ordinal)
            ? t[..^f.DecimalMark.Length]
            : t;
    }

    private static string Grouped(decimal value, int decimals, FigureFormat f)
    {
        var plain = Math.Abs(value)
            .ToString("F" + decimals.ToString(CultureInfo.InvariantCulture), CultureInfo.InvariantCulture);
        var point = plain.IndexOf('.', StringComparison.Ordinal);
        var whole = point < 0 ? plain : plain[..point];
        var text = new StringBuilder();
        for (var i = 0; i < whole.Length; i++)
        {
            if (i > 0 && (whole.Length - i) % 3 == 0)
            {
                text.Append(f.GroupMark);
            }
            text.Append(whole[i]);
        }
        if (point >= 0)
        {
            text.Append(f.DecimalMark).Append(plain.AsSpan(point + 1));
        }
        return value < 0 ? Minus + text : text.ToString();
    }
}
