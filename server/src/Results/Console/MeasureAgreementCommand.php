<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Analysis\Agreement;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;

#[AsCommand('measure:agreement', 'How far markers agree.')]
final class MeasureAgreementCommand extends MeasureCommand
{
    protected function configure(): void
    {
        $this->addArgument('ratings', InputArgument::REQUIRED, 'CSV: unit,<marker>,…; empty = not marked')
            ->addOption('levels', null, InputOption::VALUE_REQUIRED, 'The levels in rising order, such as 0,1,2,3');
    }

    protected function measure(InputInterface $input): array
    {
        $name = is_string($input->getArgument('ratings')) ? $input->getArgument('ratings') : '';
        $table = self::table($name);
        $written = $input->getOption('levels');
        if (!is_string($written)) {
            throw new \UnexpectedValueException('--levels is needed, such as --levels=0,1,2,3');
        }
        $levels = array_map(static fn (string $l): float => self::number(trim($l), '--levels'), explode(',', $written));
        $units = [];
        foreach ($table->rows as $row) {
            $unit = [];
            foreach (array_slice($row['cells'], 1) as $i => $cell) {
                if ($cell === '') {
                    continue;
                }
                $mark = self::number($cell, $name.':'.$row['line'].':'.($i + 2));
                if (!in_array($mark, $levels, true)) {
                    throw new \UnexpectedValueException(sprintf('%s:%d:%d: %s is not one of the levels', $name, $row['line'], $i + 2, $cell));
                }
                $unit[$i] = $mark;
            }
            $units[] = $unit;
        }
        $agreement = new Agreement($levels, count($table->header) - 1, $units);
        $figures = [
            'exact' => $agreement->share(0), 'adjacent' => $agreement->share(1), 'kappa' => $agreement->kappa(), 'kappaLinear' => $agreement->kappa('linear'), 'kappaQuadratic' => $agreement->kappa('quadratic'),
            'alphaNominal' => $agreement->alpha('nominal'), 'alphaOrdinal' => $agreement->alpha('ordinal'), 'alphaInterval' => $agreement->alpha('interval'), 'icc21' => $agreement->icc(),
        ];
        $result = $notes = [];
        foreach ($figures as $id => $figure) {
            $result[$id] = $figure->value;
            if ($figure->value === null) {
                $notes[$id] = $figure->note ?? '';
            }
        }

        return $result + ['notes' => (object) $notes];
    }
}
