package rosinedpeg.web;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** Somebody forgot to say who may call this. */
@Controller
class UnopenedController {

    @GetMapping("/unopened")
    @ResponseBody
    String secret() {
        return "everybody's";
    }
}
