<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' =>
        'From here on the call carries{has_label, select, yes { the label “{label}”} other {}}{has_language, select, yes { the language {language}} other {}}{has_tone, select, yes { the ring tone “{tone}”} other {}}{has_urgency, select, yes { the urgency {urgency, select, urgent {urgent} usual {usual} other {can wait}}} other {}}{has_note, select, yes { the note “{note}”} other {}}.',
    'fr' =>
        "L’appel porte désormais{has_label, select, yes { le nom «\u{a0}{label}\u{a0}»} other {}}{has_language, select, yes { la langue «\u{a0}{language}\u{a0}»} other {}}{has_tone, select, yes { la sonnerie «\u{a0}{tone}\u{a0}»} other {}}{has_urgency, select, yes { l’urgence {urgency, select, urgent {urgent} usual {habituelle} other {peut attendre}}} other {}}{has_note, select, yes { la note «\u{a0}{note}\u{a0}»} other {}}.",
];
