namespace Ystrata.Core;

/// <summary>A contact as it is drawn.</summary>
public sealed record SectionContact(Micrometres Film, Load Dust, ContactState State);

/// <summary>The bread cut through, from the bottom up, ready to draw to scale.</summary>
/// <param name="Leaves">Thickness of each leaf.</param>
/// <param name="Contacts">Between neighbours: one fewer than leaves.</param>
public sealed record Section(
    Millimetres Across,
    Millimetres Thickness,
    IReadOnlyList<Millimetres> Leaves,
    IReadOnlyList<SectionContact> Contacts,
    Micrometres TopFilm,
    Micrometres BottomFilm)
{
    public static Section Of(Piece rolled) => new(
        rolled.Length,
        rolled.Thickness,
        rolled.Leaves,
        Array.ConvertAll(rolled.Contacts, c => new SectionContact(c.Coat.Film, c.Coat.Dust, Core.Contacts.StateOf(c.Coat))),
        rolled.Top.Film,
        rolled.Bottom.Film);
}
