<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Stated;
use Meandros\Core\Proof\Ways\Usual;

/** Whether it is a fax machine that calls; what a call has shown itself to be it stays. */
final class FaxCalls implements Question
{
    use Usual;

    public function about(Asking $at): ?string
    {
        $isOpen =
            !$at->given()->caller->isFax &&
            null === $at->stand()->acts->stated->isFax &&
            null === $at->acts->stated->isFax;

        return $isOpen ? 'fax' : null;
    }

    public function answers(Asking $at): array
    {
        return [new Acts(stated: new Stated(isFax: false)), new Acts(stated: new Stated(isFax: true))];
    }
}
