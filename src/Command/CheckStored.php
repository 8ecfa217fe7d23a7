<?php

declare(strict_types=1);

namespace Meandros\Server\Command;

use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\Editions;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[
    AsCommand(
        'meandros:check-stored',
        'Looks through everything that is stored: editions against their checksums, and whether the draft can be read',
    ),
]
final class CheckStored extends Command
{
    public function __construct(private readonly Draft $draft, private readonly Editions $editions)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $wrong = array_map(
            static fn(int $number): string => \sprintf(
                'Edition %d is damaged: it does not match its checksum.',
                $number,
            ),
            $this->editions->damaged(),
        );
        foreach ($this->draft->unreadable($this->draft->read()) as $one) {
            $wrong[] = \sprintf(
                'In the draft, “%s” (%s) cannot be read. %s',
                $one->name,
                $one->id,
                null === $one->lastGood
                    ? 'No earlier state of it can be read either.'
                    : 'Its last good state can be put back on the screen.',
            );
        }
        foreach ($wrong as $line) {
            $output->writeln($line);
        }

        return [] === $wrong ? self::SUCCESS : self::FAILURE;
    }
}
