<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\DirectoryStep;
use Meandros\Core\Plan\Step\NamePart;

/** Ask for a name. */
final class TypedDirectory implements TypedKind
{
    public function begins(): string
    {
        return 'directory';
    }

    public function example(): string
    {
        return 'directory …';
    }

    public function read(Line $line): ?array
    {
        $prompt = $line->name([Kind::Prompt], ['first names', 'either name', 'last names']);
        if (null === $prompt) {
            return null;
        }
        $part = $line->take('(first|either|last) names?');

        return ['do' => 'directory', 'prompt' => $prompt] + (null === $part ? [] : ['part' => strtolower($part[1])]);
    }

    public function write(Step $step, Plan $plan): ?string
    {
        if (!($step instanceof DirectoryStep)) {
            return null;
        }

        return \sprintf(
            'directory %s, %s',
            $plan->get(Prompt::class, $step->asks->prompt)?->name(),
            NamePart::Either === $step->spelling->part ? 'either name' : $step->spelling->part->value . ' names',
        );
    }
}
