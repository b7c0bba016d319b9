<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Analysis\Model\TwoParameter;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;

#[AsCommand('measure:2pl', 'Slopes and intercepts by the two-parameter model, marginal maximum likelihood.')]
final class MeasureTwoParameterCommand extends MeasureCommand
{
    protected function configure(): void
    {
        $this->addArgument('responses', InputArgument::REQUIRED, 'CSV: student,<question>,…; 1 or 0, empty = no answer')
            ->addOption('prior', null, InputOption::VALUE_REQUIRED, 'Spread of the logarithms of the slopes, or none for plain likelihood', '0.5');
    }

    protected function measure(InputInterface $input): array
    {
        $written = is_string($input->getOption('prior')) ? $input->getOption('prior') : '';
        $prior = $written === 'none' ? null : self::number($written, '--prior:1:1');
        if ($prior !== null && ($prior < 0.05 || $prior > 5.0)) {
            throw new \UnexpectedValueException('--prior:1:1: the spread lies from 0.05 to 5, or is none');
        }
        $fit = TwoParameter::of(self::binary($input->getArgument('responses')), $prior);

        return [
            'n' => $fit->n,
            'questions' => $fit->questions,
            'dependent' => $fit->dependent,
            'logLikelihood' => $fit->logLikelihood,
            'iterations' => $fit->rounds,
            'notes' => $fit->note === null ? [] : [$fit->note],
        ];
    }
}
