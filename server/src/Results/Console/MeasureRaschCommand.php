<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Analysis\Model\Rasch;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

#[AsCommand('measure:rasch', 'Difficulties by the Rasch model, conditional maximum likelihood.')]
final class MeasureRaschCommand extends MeasureCommand
{
    protected function configure(): void
    {
        $this->addArgument('responses', InputArgument::REQUIRED, 'CSV: student,<question>,…; 1 or 0, empty = no answer');
    }

    protected function measure(InputInterface $input): array
    {
        $fit = Rasch::of(self::binary($input->getArgument('responses')));

        return [
            'n' => $fit->n,
            'counted' => $fit->counted,
            'questions' => $fit->questions,
            'logLikelihood' => $fit->logLikelihood,
            'iterations' => $fit->rounds,
            'notes' => $fit->note === null ? [] : [$fit->note],
        ];
    }
}
