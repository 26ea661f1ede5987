package idlebough.app;
public class IdleBough { public static void main(String[] a) {} }
