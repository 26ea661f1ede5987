package idlebough.app.irrigation;

import idlebough.app.store.Scope;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.TreeView;
import idlebough.core.irrigation.FirstSeason;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.measure.Quantity;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** How much, how often, in the first weeks. */
@Controller
@RequestMapping("/orchards/{orchard}/water")
public class WaterController {
    private final Pages pages;

    WaterController(Pages pages) {
        this.pages = pages;
    }

    @GetMapping
    String show(Scope scope, Reader reader, Model model, @RequestParam(required = false) String tree) {
        PlanView plan = pages.open(model, scope, StagePage.WATER);
        TreeView picked = plan.treeOrFirst(tree);
        model.addAttribute("picked", picked);
        if (picked != null) {
            FirstSeason season = picked.season();
            List<Figure> figures = new ArrayList<>();
            figures.add(Figure.of(
                    "in",
                    "Watering in, on the day",
                    Amount.litres(season.wateringIn()),
                    "in two or three fills",
                    season::working));
            figures.add(Figure.of(
                    "total",
                    "From planting to week 8",
                    Amount.litres(season.total()),
                    "without rain",
                    season::weekWorking));
            figures.add(Figure.of(
                    "warm",
                    "Mean of those weeks",
                    Amount.of(season.setting().climate().celsius(), Quantity.TEMPERATURE),
                    season.warm() ? "warm: it grows" : "too cool to grow",
                    season::weekWorking));
            season.tank()
                    .ifPresent(tank -> figures.add(Figure.of(
                            "ball",
                            "Easy water in the ball",
                            Amount.litres(tank.store()),
                            "half may go",
                            season::weekWorking)));
            model.addAttribute("figures", figures);
            model.addAttribute("season", season);
            model.addAttribute("bars", WaterBars.of(season, reader));
            pages.about(model, plan, StagePage.WATER.room(), picked.subject());
            List<TreeView> toPlant =
                    plan.trees().stream().filter(TreeView::toPlant).toList();
            model.addAttribute(
                    "allIn",
                    toPlant.stream().mapToDouble(t -> t.season().wateringIn()).sum());
            model.addAttribute("count", toPlant.size());
        }
        return "irrigation/water";
    }
}
