using System.Xml;

namespace Hepno.Formats;

/// <summary>Looks at the lettering of a drawing that keeps its letters as text.</summary>
public static class SvgLettering
{
    private static readonly XmlReaderSettings Plain = new()
    {
        DtdProcessing = DtdProcessing.Ignore,
        XmlResolver = null,
    };

    /// <summary>True when some of its text is turned over, so that it runs backwards; text that is drawn as shapes is
    /// not known.</summary>
    /// <param name="file">The drawing.</param>
    public static bool RunsBackwards(byte[] file)
    {
        using var reader = XmlReader.Create(new MemoryStream(file), Plain);
        // how each element that is open lies on the page
        var open = new Stack<SvgTransform>([SvgTransform.None]);
        while (reader.Read())
        {
            if (reader.NodeType == XmlNodeType.EndElement)
            {
                open.Pop();
            }
            else if (reader.NodeType == XmlNodeType.Element)
            {
                var at = open.Peek().After(Transform(reader.GetAttribute("transform")));
                if (reader.LocalName == "text" && at.TurnsOver)
                {
                    return true;
                }
                if (!reader.IsEmptyElement)
                {
                    open.Push(at);
                }
            }
        }
        return false;
    }

    // one that cannot be read turns nothing over
    private static SvgTransform Transform(string? text)
    {
        try
        {
            return SvgTransform.Of(text);
        }
        catch (NotATableException)
        {
            return SvgTransform.None;
        }
    }
}
