<?php

declare(strict_types=1);

namespace Meandros\Server\Command;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Wording\ProblemWords;
use Meandros\Server\Proof\PublishDespite;
use Meandros\Server\Sound\SamplePlan;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\Entity\EditState;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('meandros:load-plan', 'Brings a plan file into the draft and publishes it')]
final class LoadPlan extends Command
{
    public function __construct(
        private readonly Draft $draft,
        private readonly Editions $editions,
        private readonly PublishDespite $despite,
        private readonly SamplePlan $sample,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'A plan file');
        $this->addOption(
            'if-empty',
            null,
            InputOption::VALUE_NONE,
            'Do nothing where the draft holds something already',
        );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (true === $input->getOption('if-empty') && [] !== $this->draft->plan()->elements()) {
            return self::SUCCESS;
        }
        $file = $input->getArgument('file');
        $json = \is_string($file) && is_file($file) ? file_get_contents($file) : false;
        if (false === $json) {
            $output->writeln('<error>The plan file cannot be read.</error>');

            return self::FAILURE;
        }
        try {
            $plan = $this->sample->load($json, $file);
        } catch (InvalidData $invalid) {
            $output->writeln('<error>' . ProblemWords::all($invalid) . '</error>');

            return self::FAILURE;
        }
        $this->draft->replaceAll($plan, 'Bring in the demo plan', null, EditState::Dropped);
        $this->editions->publish(
            'The first edition',
            null,
            despite: fn(Plan $plan): array => $this->despite->reasons($plan, 'It was so when the plan was brought in.'),
        );
        $output->writeln(\sprintf('Loaded %d elements from %s.', \count($plan->elements()), $file));

        return self::SUCCESS;
    }
}
