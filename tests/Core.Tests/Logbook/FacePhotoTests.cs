namespace Ystrata.Core.Tests.Logbook;

public sealed class FacePhotoTests
{
    private static readonly Kitchen Kitchen = Kitchen.Shipped;

    // A grey of this CIELAB lightness against a white, under a light: the way a camera would show it.
    private static PatchMean Grey(double lightness, double white = 0.9, (double R, double G, double B)? lamp = null)
    {
        var light = lightness > 0.08 ? Math.Pow((lightness + 0.16) / 1.16, 3) : lightness * 2700 / 24389;
        var (r, g, b) = lamp ?? (1, 1, 1);
        return new(Encoded(light * white * r), Encoded(light * white * g), Encoded(light * white * b));
    }

    private static double Encoded(double light) => 255 * (light <= 0.0031308 ? light * 12.92 : 1.055 * Math.Pow(light, 1 / 2.4) - 0.055);

    private static FacePhoto Photo(double lightness, FaceIs face = FaceIs.First, double white = 0.9, (double R, double G, double B)? lamp = null) =>
        new(face, [.. Enumerable.Repeat(Grey(1, white, lamp), 4)], [.. Enumerable.Repeat(Grey(lightness, white, lamp), 4)]);

    private static FaceColour Read(FacePhoto photo, double hue = 1) => Assert.Single(FaceColours.Of([photo], hue));

    [Theory]
    [InlineData(0.86, 0, Look.Raw)]
    [InlineData(0.78, 0.3, Look.Pale)]
    [InlineData(0.72, 0.65, Look.Gold)]
    [InlineData(0.66, 1, Look.Gold)]
    [InlineData(0.52, 1.8, Look.Brown)]
    [InlineData(0.34, 3, Look.Charred)]
    [InlineData(0.90, 0, Look.Raw)]
    [InlineData(0.05, 4, Look.Charred)]
    public void Lightness_against_the_white_tells_how_dark_a_face_of_white_dough_is(double lightness, double dark, Look look)
    {
        var read = Read(Photo(lightness));
        Assert.Equal((FaceTrouble.None, look), (read.Trouble, read.Look));
        Assert.Equal(100 * lightness, read.Lightness.Value, 2);
        Assert.Equal(dark, read.Dark, 3);
    }

    [Fact]
    public void Neither_a_warm_lamp_nor_less_light_changes_what_is_read()
    {
        Assert.Equal(1, Read(Photo(0.66, lamp: (1, 0.85, 0.6))).Dark, 3);
        Assert.Equal(1, Read(Photo(0.66, white: 0.65)).Dark, 3);
    }

    [Fact]
    public void A_darker_dough_is_read_by_its_own_raw_face_or_else_by_its_flours()
    {
        // Whole wheat is darker before it ever meets a pan.
        var hue = FaceColours.HueOf(Breads.Plan(BatchSpec.Plain with { Dough = BatchSpec.Plain.Dough with { Flours = [new(Staples.WholeFlour, 100)] } }).Dough, Kitchen);
        Assert.InRange(hue, 0.75, 0.92);
        Assert.Equal(1, FaceColours.HueOf(Breads.Plan(BatchSpec.Plain with { Dough = BatchSpec.Plain.Dough with { Flours = [new(Staples.WhiteFlour, 100)] } }).Dough, Kitchen), 6);
        Assert.Equal(0, Read(Photo(0.86 * hue), hue).Dark, 3);
        Assert.Equal(1, Read(Photo(0.66 * hue), hue).Dark, 3);
        // Its own raw face goes before them; one in bad light does not.
        Assert.Equal(1.8, FaceColours.Of([Photo(0.70, FaceIs.Raw), Photo(0.52 * 0.70 / 0.86)], hue)[1].Dark, 3);
        Assert.Equal(Read(Photo(0.5), hue).Dark, FaceColours.Of([Photo(0.70, FaceIs.Raw, white: 0.3), Photo(0.5)], hue)[1].Dark, 6);
    }

    public static TheoryData<FaceTrouble, FacePhoto> Bad => new()
    {
        { FaceTrouble.Dim, Photo(0.66, white: 0.5) },
        { FaceTrouble.Glare, Photo(0.66, white: 1) },
        { FaceTrouble.NoWhite, Photo(0.66) with { White = [.. Enumerable.Repeat(new PatchMean(250, 250, 90), 4)] } },
        { FaceTrouble.NoWhite, Photo(0.66) with { White = [.. Enumerable.Repeat(new PatchMean(160, 40, 30), 4)] } },
        { FaceTrouble.Uneven, Photo(0.66) with { White = [Grey(1), Grey(1), Grey(0.93), Grey(0.93)] } },
        { FaceTrouble.Shadow, Photo(0.66) with { Face = [Grey(0.7), Grey(0.7), Grey(0.5), Grey(0.5)] } },
        { FaceTrouble.NoFace, Photo(0.99) },
        { FaceTrouble.Dim, Photo(0, white: 0) },
    };

    [Theory]
    [MemberData(nameof(Bad))]
    public void Bad_light_no_white_and_a_shadow_are_said_and_teach_nothing(FaceTrouble trouble, FacePhoto photo)
    {
        Assert.Equal(trouble, Read(photo).Trouble);
        Assert.Empty(Lessons.Of(BatchSpec.Plain, Outcome.Nothing with { Faces = [photo] }, Kitchen));
    }

    [Fact]
    public void Blisters_are_no_shadow() =>
        Assert.Equal(FaceTrouble.None, Read(Photo(0.66) with { Face = [Grey(0.70), Grey(0.62), Grey(0.66), Grey(0.64)] }).Trouble);

    [Fact]
    public void What_is_no_photo_is_refused()
    {
        var good = Photo(0.66);
        Assert.Empty(LogCheck.Check(Outcome.Nothing with { Faces = [good, Photo(0.6, FaceIs.Second), Photo(0.8, FaceIs.Raw)] }));
        foreach (var bad in new IReadOnlyList<FacePhoto>[]
        {
            [good, good], [good with { White = [] }], [good with { Face = [.. good.Face.Take(3)] }], [good with { Face = [new(300, 0, 0), .. good.Face.Skip(1)] }],
            [good with { Face = [new(double.NaN, 0, 0), .. good.Face.Skip(1)] }], [null!], [good with { White = null! }], [good with { Is = (FaceIs)7 }],
        })
        {
            Assert.Equal("faces", Assert.Single(LogCheck.Check(Outcome.Nothing with { Faces = bad })).Field);
        }
    }

    [Fact]
    public void Three_photos_teach_this_pan_its_pace_of_browning_and_two_do_not_yet()
    {
        var pan = Breads.Plan(BatchSpec.Plain).Pan;
        var lesson = Assert.Single(Lessons.Of(BatchSpec.Plain, Outcome.Nothing with { Faces = [Photo(0.52), Photo(0.8, FaceIs.Raw)] }, Kitchen));

        Assert.Equal((LessonKind.Browning, pan.Heat.On.Kind.ToString()), (lesson.Kind, lesson.Of));
        Assert.True(lesson.Value > 1.2, $"{lesson.Value}");
        // With stays that were really twice as long the same face tells of a slower pan.
        var longer = new Timed(null, pan.Program.Turns[0].Time * 2, pan.Program.Turns[1].Time * 2, pan.Program.Turns[^1].Time * 2);
        Assert.True(Assert.Single(Lessons.Of(BatchSpec.Plain, Outcome.Nothing with { Faces = [Photo(0.52)], Timed = longer }, Kitchen), l => l.Kind == LessonKind.Browning).Value < lesson.Value);

        Kitchen Taught(int n) => LearnedFigures.Onto(Kitchen, [LearnedFigures.Of(lesson.Kind, lesson.Of, [.. Enumerable.Repeat(1.5, n)], used: true, Kitchen)]);
        Assert.Equal(1, Taught(2).Learned.BrowningOn(pan.Heat.On.Kind));
        Assert.Equal(1.25, Taught(3).Learned.BrowningOn(pan.Heat.On.Kind));
        Assert.Equal(1, Taught(3).Learned.BrowningOn(PanKind.Soapstone));
        // And the plan follows: the same stays brown more, the advice is quicker.
        var own = BatchSpec.Plain with { Pan = BatchSpec.Plain.Pan with { Own = pan.Program.Advised } };
        Assert.Equal(1.25 * Breads.Plan(own).Pan.Done.First, Breads.Plan(own, Taught(3)).Pan.Done.First, 3);
        Assert.True(Breads.Plan(BatchSpec.Plain, Taught(3)).Pan.Program.Total.Value < pan.Program.Total.Value);
    }

    [Fact]
    public void A_piece_weighed_before_and_after_teaches_how_much_the_pan_drives_off()
    {
        var plan = Breads.Plan(BatchSpec.Plain);
        var (raw, off, kind) = (plan.Piece.Raw.Mass, plan.Piece.Out.Mass, plan.Pan.Heat.On.Kind);
        Lesson Weighed(double more) => Assert.Single(Lessons.Of(BatchSpec.Plain, Outcome.Nothing with { Used = Outcome.Nothing.Used with { Raw = raw, Roasted = off - new Grams(more) } }, Kitchen));

        Assert.Equal((LessonKind.Steam, kind.ToString()), (Weighed(0).Kind, Weighed(0).Of));
        Assert.Equal(1, Weighed(0).Value, 6);
        var steam = raw.Value * plan.Pan.Done.Lost.Fraction;
        Assert.Equal((steam + 3) / steam, Weighed(3).Value, 6);

        var taught = LearnedFigures.Onto(Kitchen, [LearnedFigures.Of(LessonKind.Steam, kind.ToString(), [1.6, 1.6, 1.6], used: true, Kitchen)]);
        var then = Breads.Plan(BatchSpec.Plain, taught);
        Assert.Equal(1.3 * plan.Pan.Done.Lost.Value, then.Pan.Done.Lost.Value, 6);
        Assert.True(then.Piece.Out.Mass.Value < off.Value);
        Assert.Equal(plan.Pan.Program.Total, then.Pan.Program.Total);
    }

    [Fact]
    public void A_piece_cannot_come_off_much_heavier_than_it_went_on()
    {
        Outcome Was(double raw, double roasted) => Outcome.Nothing with { Used = Outcome.Nothing.Used with { Raw = new(raw), Roasted = new(roasted) } };
        Assert.Empty(LogCheck.Check(Was(80, 70)));
        Assert.Equal("used.roasted", Assert.Single(LogCheck.Check(Was(80, 120))).Field);
        Assert.Equal("used.raw", Assert.Single(LogCheck.Check(Was(-1, double.NaN)), r => r.Field == "used.raw").Field);
    }
}
