<?php

declare(strict_types=1);

namespace Meandros\Server\Command;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\OverrideEnd;
use Meandros\Core\Time\ForcedBy;
use Meandros\Server\Now;
use Meandros\Server\Storage\Entity\HoursOverride;
use Meandros\Server\Storage\Overrides;
use Meandros\Server\Storage\Plans;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Forces hours into a state from the command line, as the screen does. */
#[AsCommand('meandros:force', 'Forces hours into a state')]
final class ForceHours extends Command
{
    public function __construct(
        private readonly Plans $plans,
        private readonly Overrides $overrides,
        private readonly Now $now,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('hours', InputArgument::REQUIRED, 'The id of the hours');
        $this->addArgument('state', InputArgument::REQUIRED, 'The key of the state');
        $this->addArgument('reason', InputArgument::REQUIRED, 'Why; colleagues read this');
        $this->addOption(
            'for',
            null,
            InputOption::VALUE_REQUIRED,
            'Minutes until it ends; without, until somebody lifts it',
        );
        $this->addOption('who', null, InputOption::VALUE_REQUIRED, 'Who does it', 'command line');
        $this->addOption('if-none', null, InputOption::VALUE_NONE, 'Do nothing where anything was ever forced');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $text = static function (mixed $value): string {
            return \is_string($value) ? $value : '';
        };
        if (true === $input->getOption('if-none') && [] !== $this->overrides->all()) {
            return self::SUCCESS;
        }
        $hours = $this->plans->known()->get(Hours::class, $text($input->getArgument('hours')));
        $state = $text($input->getArgument('state'));
        $minutes = $input->getOption('for');
        if (
            null === $hours?->states->find($state) ||
            (null !== $minutes && 1 !== preg_match('/^[1-9]\d{0,6}$/D', $text($minutes)))
        ) {
            $output->writeln(
                '<error>There are no such hours, they have no such state, or --for is not a number of minutes.</error>',
            );

            return self::FAILURE;
        }
        $now = $this->now->second();
        $until = null === $minutes ? null : $now + 60 * (int) $text($minutes);
        $this->overrides->force(
            new HoursOverride(
                $hours->id(),
                $state,
                new ForcedBy(
                    mb_substr($text($input->getOption('who')), 0, 100),
                    mb_substr($text($input->getArgument('reason')), 0, 200),
                ),
                null === $until ? OverrideEnd::Lifted->value : 'at',
                $until,
                $now,
            ),
        );

        return self::SUCCESS;
    }
}
