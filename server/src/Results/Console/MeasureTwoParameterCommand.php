<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Analysis\Model\TwoParameter;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

#[AsCommand('measure:2pl', 'Slopes and intercepts by the two-parameter model, marginal maximum likelihood.')]
final class MeasureTwoParameterCommand extends MeasureCommand
{
    protected function configure(): void
    {
        $this->addArgument('responses', InputArgument::REQUIRED, 'CSV: student,<question>,…; 1 or 0, empty = no answer');
    }

    protected function measure(InputInterface $input): array
    {
        $fit = TwoParameter::of(self::binary($input->getArgument('responses')));

        return [
            'n' => $fit->n,
            'questions' => $fit->questions,
            'logLikelihood' => $fit->logLikelihood,
            'iterations' => $fit->rounds,
            'notes' => $fit->note === null ? [] : [$fit->note],
        ];
    }
}
