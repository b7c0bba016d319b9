<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\PairReading\BradleyTerry;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

#[AsCommand('measure:pairs', 'Abilities from comparisons of two.')]
final class MeasurePairsCommand extends MeasureCommand
{
    protected function configure(): void
    {
        $this->addArgument('pairs', InputArgument::REQUIRED, 'CSV: winner,loser; a third column tie with 1 where it was drawn');
    }

    protected function measure(InputInterface $input): array
    {
        $name = is_string($input->getArgument('pairs')) ? $input->getArgument('pairs') : '';
        $table = self::table($name);
        if ($table->header !== ['winner', 'loser'] && $table->header !== ['winner', 'loser', 'tie']) {
            throw new \UnexpectedValueException("$name:1:1: the header must be winner,loser or winner,loser,tie");
        }
        $results = $ties = [];
        foreach ($table->rows as $row) {
            [$winner, $loser] = [$row['cells'][0], $row['cells'][1] ?? ''];
            if ($winner === '' || $loser === '' || $winner === $loser) {
                throw new \UnexpectedValueException(sprintf(
                    '%s:%d:%d: a comparison names two different things',
                    $name,
                    $row['line'],
                    $winner === '' ? 1 : 2,
                ));
            }
            foreach ([$winner, $loser] as $i => $one) {
                // A table that says `tie` in place of a name would make a student of it.
                if (strtolower($one) === 'tie') {
                    throw new \UnexpectedValueException(sprintf(
                        '%s:%d:%d: "%s" cannot be the name of a student; a draw is told by a 1 in a third column tie',
                        $name,
                        $row['line'],
                        $i + 1,
                        $one,
                    ));
                }
            }
            if (in_array($row['cells'][2] ?? '', ['', '0'], true)) {
                $results[] = [$winner, $loser];
            } else {
                $ties[] = [$winner, $loser];
            }
        }
        $fit = BradleyTerry::of($results, $ties);
        $objects = [];
        foreach ($fit->objects as $id => $object) {
            $objects[] = ['id' => (string) $id] + $object;
        }

        return [
            'objects' => $objects,
            'reliability' => $fit->reliability,
            'iterations' => $fit->rounds,
            'notes' => $fit->note === null ? [] : [$fit->note],
        ];
    }
}
