<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

use Meandros\Core\Paper\Markdown;
use Meandros\Server\Paper\Briefs;
use Meandros\Server\Paper\PaperPage;

/** The brief of however many numbers there are. */
final readonly class WriteBrief implements JobKind
{
    public const NAME = 'brief';

    public function __construct(private Briefs $briefs) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function run(array $input, Progress $progress): array
    {
        /** @var array{in: string, before: string, number: string, language: string} $input */
        $goOn = static function (int $done, int $of) use ($progress): bool {
            $progress->at($done, $of);

            return true;
        };
        $brief = $this->briefs->write($input['in'], $input['before'], $input['number'], $input['language'], $goOn);
        \assert(null !== $brief);

        return ['html' => PaperPage::html($brief), 'markdown' => Markdown::of($brief)];
    }
}
