package idlebough.core.winter;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/** What a column of a weather table holds, with the headings by which it is known in several languages. */
public enum Column {
    NOTHING("not used", null, List.of()),
    DATE(
            "date (and time)",
            null,
            List.of(),
            "date",
            "day",
            "datum",
            "fecha",
            "jour",
            "data",
            "dato",
            "tag",
            "dag",
            "dia",
            "día",
            "dzien",
            "yyyymmdd",
            "datetime",
            "timestamp",
            "zeitstempel",
            "moment",
            "valid"),
    /** With {@link #MONTH}, the date's column holds the day of the month alone. */
    YEAR("year", null, List.of(), "year", "yr", "jahr", "année", "annee", "año", "anno", "ano", "jaar"),
    MONTH("month", null, List.of(), "month", "monat", "mois", "mes", "mese", "mês", "maand"),
    TIME(
            "time of day",
            null,
            List.of(),
            "time",
            "hour",
            "hora",
            "heure",
            "zeit",
            "uhrzeit",
            "stunde",
            "ora",
            "tijd",
            "uur"),
    MINIMUM(
            "minimum",
            null,
            ColumnUnit.TEMPERATURES,
            "tmin",
            "tn",
            "tnn",
            "tnk",
            "min",
            "minimum",
            "minima",
            "mínima",
            "minimo",
            "mínimo",
            "minimale",
            "minimal",
            "low",
            "lowest",
            "tiefstwert",
            "laagste"),
    MAXIMUM(
            "maximum",
            null,
            ColumnUnit.TEMPERATURES,
            "tmax",
            "tx",
            "txx",
            "txk",
            "max",
            "maximum",
            "maxima",
            "máxima",
            "maximo",
            "máximo",
            "massima",
            "maximale",
            "maximal",
            "high",
            "highest",
            "höchstwert",
            "hoogste"),
    TEMPERATURE(
            "temperature",
            null,
            ColumnUnit.TEMPERATURES,
            "temperature",
            "temp",
            "t",
            "tair",
            "ta",
            "tt",
            "air",
            "temperatur",
            "lufttemperatur",
            "temperatura",
            "température"),
    FLAG("quality flag", null, List.of(), "flag", "quality", "qc", "qflag", "qualität", "calidad", "qualité"),
    RAIN(
            "rain",
            Element.RAIN,
            List.of(ColumnUnit.MILLIMETRES, ColumnUnit.INCHES, ColumnUnit.CENTIMETRES),
            "rain",
            "rainfall",
            "precipitation",
            "precip",
            "prcp",
            "rr",
            "rsk",
            "niederschlag",
            "regen",
            "pluie",
            "précipitations",
            "precipitación",
            "precipitacion",
            "lluvia",
            "pioggia",
            "precipitazione",
            "chuva",
            "neerslag"),
    HUMIDITY(
            "humidity",
            Element.HUMIDITY,
            List.of(ColumnUnit.PERCENT, ColumnUnit.FRACTION),
            "humidity",
            "rh",
            "relhum",
            "upm",
            "feuchte",
            "luftfeuchte",
            "humidité",
            "humedad",
            "umidità",
            "umidade"),
    WIND(
            "wind speed",
            Element.WIND,
            List.of(
                    ColumnUnit.METRES_A_SECOND,
                    ColumnUnit.KILOMETRES_AN_HOUR,
                    ColumnUnit.MILES_AN_HOUR,
                    ColumnUnit.KNOTS),
            "wind",
            "windspeed",
            "wspd",
            "ff",
            "fm",
            "windgeschwindigkeit",
            "vent",
            "viento",
            "vento",
            "awnd"),
    SUNSHINE(
            "hours of sun",
            Element.SUNSHINE,
            List.of(ColumnUnit.HOURS, ColumnUnit.MINUTES),
            "sunshine",
            "sun",
            "sdk",
            "sonnenschein",
            "sonnenscheindauer",
            "sonne",
            "soleil",
            "insolation",
            "heliofania",
            "insolación",
            "tsun"),
    RADIATION(
            "radiation",
            Element.RADIATION,
            List.of(
                    ColumnUnit.MEGAJOULES,
                    ColumnUnit.WATTS,
                    ColumnUnit.JOULES,
                    ColumnUnit.KILOWATT_HOURS,
                    ColumnUnit.LANGLEYS),
            "radiation",
            "solar",
            "srad",
            "ghi",
            "globalstrahlung",
            "strahlung",
            "rayonnement",
            "radiación",
            "radiacion",
            "radiazione"),
    SNOW(
            "snow lying",
            Element.SNOW,
            List.of(ColumnUnit.CENTIMETRES, ColumnUnit.MILLIMETRES, ColumnUnit.INCHES, ColumnUnit.METRES),
            "snow",
            "snowdepth",
            "snwd",
            "schnee",
            "schneehöhe",
            "neige",
            "nieve",
            "neve",
            "sneeuw");

    /** A heading with one of these is of something else: the ground, the dew, a gust, a direction, how it feels. */
    private static final Set<String> OTHER = Set.of(
            "soil",
            "ground",
            "grass",
            "boden",
            "erdboden",
            "sol",
            "suelo",
            "dew",
            "dewpoint",
            "taupunkt",
            "feels",
            "index",
            "gust",
            "direction",
            "dir",
            "richtung",
            "windrichtung",
            "böe",
            "rafale",
            "racha",
            "fx",
            "snowfall",
            "water",
            "bulb",
            "chill",
            "tgk");

    private static final Pattern GLUED_LOW =
            Pattern.compile("t(emp\\p{L}*)?min(imum)?|min(imum)?t(emp\\p{L}*)?|lowt.*|.*tiefst.*");
    private static final Pattern GLUED_HIGH =
            Pattern.compile("t(emp\\p{L}*)?max(imum)?|max(imum)?t(emp\\p{L}*)?|hight.*|.*höchst.*");
    private final String words;
    private final Element element;
    private final List<ColumnUnit> units;
    private final Set<String> names;

    Column(String words, Element element, List<ColumnUnit> units, String... names) {
        this.words = words;
        this.element = element;
        this.units = units;
        this.names = Set.of(names);
    }

    /** For the list from which a grower picks. */
    public String words() {
        return words;
    }

    /** Null unless it holds one of those. */
    public Element element() {
        return element;
    }

    /** The first is taken when the heading names none. */
    public List<ColumnUnit> units() {
        return units;
    }

    boolean isTemperature() {
        return units == ColumnUnit.TEMPERATURES;
    }

    /** By the heading alone. */
    static Column of(String heading) {
        String[] words = heading.replaceAll("(\\p{Ll})(\\p{Lu})", "$1 $2")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}]+", " ")
                .strip()
                .split(" ");
        boolean low = false;
        boolean high = false;
        Column first = NOTHING;
        for (String word : words) {
            if (OTHER.contains(word)) {
                return NOTHING;
            }
            low |= MINIMUM.names.contains(word) || GLUED_LOW.matcher(word).matches();
            high |= MAXIMUM.names.contains(word) || GLUED_HIGH.matcher(word).matches();
            Column found = Arrays.stream(values())
                    .filter(column -> column.names.contains(word))
                    .findFirst()
                    .orElse(NOTHING);
            // In “max wind” it is the wind that counts.
            if (first == NOTHING || first.element == null && found.element != null) {
                first = found;
            }
        }
        if (low && high) {
            return NOTHING;
        }
        if (first.element != null) {
            // The least humidity or the strongest wind of a day is not its mean; minutes of sun are called min too.
            boolean minutes = first == SUNSHINE && !high;
            return (low || high) && !minutes && first != RAIN && first != SNOW ? NOTHING : first;
        }
        return low ? MINIMUM : high ? MAXIMUM : first;
    }

    /** By name; {@link #NOTHING} when there is none such. */
    public static Column named(String name) {
        return Arrays.stream(values())
                .filter(column -> column.name().equals(name))
                .findFirst()
                .orElse(NOTHING);
    }
}
