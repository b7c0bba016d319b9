<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Analysis\Model\PartialCredit;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

#[AsCommand('measure:partial-credit', 'Thresholds and abilities from whole marks, questions with part credit among them.')]
final class MeasurePartialCreditCommand extends MeasureCommand
{
    private const MOST = 60;

    protected function configure(): void
    {
        $this->addArgument('marks', InputArgument::REQUIRED, 'CSV: student,<question>,…; whole marks from 0; empty = not reached');
    }

    protected function measure(InputInterface $input): array
    {
        $name = is_string($input->getArgument('marks')) ? $input->getArgument('marks') : '';
        $table = self::table($name);
        $rows = array_map(static fn (array $row): array => array_map(
            static fn (string $cell, int $i): ?int => match (true) {
                $cell === '' => null,
                preg_match('/^\d{1,2}$/D', $cell) === 1 && (int) $cell <= self::MOST => (int) $cell,
                default => throw new \UnexpectedValueException(sprintf(
                    '%s:%d:%d: "%s" is not a whole number from 0 to %d',
                    $name,
                    $row['line'],
                    $i + 2,
                    $cell,
                    self::MOST,
                )),
            },
            array_slice($row['cells'], 1),
            array_keys(array_slice($row['cells'], 1)),
        ), $table->rows);
        $fit = PartialCredit::of(array_slice($table->header, 1), $rows);

        return [
            'n' => count($rows), 'counted' => $fit->counted, 'questions' => $fit->questions,
            'students' => array_map(
                static fn (array $row, ?float $ability, ?float $se): array => ['id' => $row['cells'][0], 'ability' => $ability, 'se' => $se],
                $table->rows,
                $fit->abilities,
                $fit->abilityErrors,
            ),
            'notes' => $fit->note === null ? [] : [$fit->note],
        ];
    }
}
