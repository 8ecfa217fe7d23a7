<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;

/** A plan file, with the takes that a list beside it names, and read by the machine voice. */
final readonly class SamplePlan
{
    public function __construct(private DemoTakes $takes, private MachineVoice $machine) {}

    /**
     * @param string $json what stands in the file
     *
     * @throws InvalidData
     */
    public function load(string $json, string $file): Plan
    {
        $plan = PlanCodec::decode($json);
        $takes = preg_replace('/\.json$/', '.takes.json', $file);
        if (\is_string($takes) && $takes !== $file && is_file($takes)) {
            $plan = $this->takes->into($plan, $takes);
        }

        return $this->machine->withAll($plan);
    }
}
