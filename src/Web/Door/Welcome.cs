using QRCoder;
using Ystrata.Store;

namespace Ystrata.Web.Door;

/// <summary>What the terminal says of the network once the program listens.</summary>
internal sealed class Welcome(Settings settings, Passphrase passphrase, NetworkAddress network, MachineNames names, OneTimeCodes codes)
{
    public void Say()
    {
        Console.WriteLine($"On the network it is at {network.Of(names.First)}");
        Console.WriteLine($"Listens to the network on port {network.Port}");
        if (settings.Plain)
        {
            Console.WriteLine("Without TLS: passers-by can listen to what goes over the network, and tablets let their screens sleep, since browsers keep none awake and install no page without it.");
        }

        if (!passphrase.IsSet)
        {
            Console.WriteLine("No passphrase is set: nobody on the network is let in. Set one with ./ystrata passphrase, or here under Larder, Screens.");
            return;
        }

        using var picture = QRCodeGenerator.GenerateQrCode(network.ToComeIn(codes.Make(ScreenKind.All).Code), QRCodeGenerator.ECCLevel.L);
        using var drawn = new AsciiQRCode(picture);
        Console.WriteLine(drawn.GetGraphicSmall());
        Console.WriteLine($"For two minutes this lets one screen in. Later ones are shown here under Larder, Screens.");
    }
}
