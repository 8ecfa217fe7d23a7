<?php

declare(strict_types=1);

namespace Meandros\Server\Command;

use Doctrine\DBAL\Connection;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[
    AsCommand(
        'meandros:clear-sounds',
        'Deletes sounds that no plan, no edition, no change that can be undone and no e-mail uses',
    ),
]
final class ClearSounds extends Command
{
    /** Whatever looks like the name of a sound, wherever it stands. */
    private const USED = <<<'SQL'
    WITH used AS (
        SELECT (regexp_matches(body::text, '[0-9a-f]{64}', 'g'))[1] AS sha256 FROM draft_element WHERE kind = 'prompt'
        UNION SELECT (regexp_matches(document, '[0-9a-f]{64}', 'g'))[1] FROM edition
        UNION SELECT (regexp_matches(coalesce(before::text, '') || coalesce(after::text, ''), '[0-9a-f]{64}', 'g'))[1] FROM edit_change
        UNION SELECT sound FROM outbox WHERE sound IS NOT NULL
    )
    SQL;

    public function __construct(private readonly Connection $database)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('look', null, InputOption::VALUE_NONE, 'Say what would be deleted, and delete nothing');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $unused = 'FROM sound WHERE sha256 NOT IN (SELECT sha256 FROM used)';
        $isLook = true === $input->getOption('look');
        /** @var list<int> $sizes */
        $sizes = $this->database->fetchFirstColumn(
            self::USED . ($isLook ? "SELECT size $unused" : "DELETE $unused RETURNING size"),
        );
        $output->writeln(
            \sprintf(
                '%d %s of %.1f MB %s.',
                \count($sizes),
                1 === \count($sizes) ? 'sound' : 'sounds',
                array_sum($sizes) / 1e6,
                $isLook ? 'would be deleted' : 'deleted',
            ),
        );

        return self::SUCCESS;
    }
}
