public class P { public static void Main(){} }
