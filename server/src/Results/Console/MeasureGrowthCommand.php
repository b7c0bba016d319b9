<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Analysis\Growth;
use ChalkLadder\Core\Analysis\Model\Link;
use ChalkLadder\Core\Analysis\Model\Rasch;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

#[AsCommand('measure:growth', 'Two papers that share questions on one scale, and whose change is more than error.')]
final class MeasureGrowthCommand extends MeasureCommand
{
    protected function configure(): void
    {
        $this->addArgument('earlier', InputArgument::REQUIRED, 'CSV: student,<question>,…; 1, 0 or empty')
            ->addArgument('later', InputArgument::REQUIRED, 'The same of the later paper; shared questions have the same name');
    }

    protected function measure(InputInterface $input): array
    {
        [$before, $after] = [self::sat($input->getArgument('earlier')), self::sat($input->getArgument('later'))];
        $link = Link::of($before['questions'], $after['questions']);
        $students = [];
        $shift = $link->shift->value;
        foreach ($shift === null ? [] : $before['students'] as $student => [$ability, $error]) {
            if (!isset($after['students'][$student])) {
                continue;
            }
            [$later, $laterError] = $after['students'][$student];
            // Of both measures, so that √2 times it is the error of their difference.
            $sem = sqrt(($error ** 2 + $laterError ** 2) / 2);
            $change = Growth::of($ability, $later + (float) $shift, $sem, count($before['students']));
            $students[] = [
                'student' => (string) $student, 'change' => $change->value, 'interval' => self::interval($change),
                'direction' => Growth::direction($change),
            ];
        }

        return [
            'shift' => $shift, 'interval' => self::interval($link->shift), 'anchors' => $link->anchors,
            'drifted' => $link->drifted, 'students' => $students,
            'notes' => $link->shift->note === null ? [] : [$link->shift->note],
        ];
    }

    /** @return array{questions: array<string, array{difficulty: float, se: float}>, students: array<string, array{float, float}>} */
    private static function sat(mixed $path): array
    {
        $table = self::table($path);
        $fit = Rasch::of(self::binary($path));
        $questions = $students = [];
        foreach ($fit->questions as $q) {
            if ($q['difficulty'] !== null && $q['se'] !== null) {
                $questions[$q['id']] = ['difficulty' => $q['difficulty'], 'se' => $q['se']];
            }
        }
        foreach ($table->rows as $s => $row) {
            if (($fit->abilities[$s] ?? null) !== null && ($fit->abilityErrors[$s] ?? null) !== null) {
                $students[$row['cells'][0]] = [$fit->abilities[$s], $fit->abilityErrors[$s]];
            }
        }

        return ['questions' => $questions, 'students' => $students];
    }
}
