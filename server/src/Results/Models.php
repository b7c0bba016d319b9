<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Figure;
use ChalkLadder\Core\Analysis\Model\Binary;
use ChalkLadder\Core\Analysis\Model\Enough;
use ChalkLadder\Core\Analysis\Model\Rasch;
use ChalkLadder\Core\Analysis\Model\TwoParameter;
use ChalkLadder\Core\Analysis\Model\Warm;
use ChalkLadder\Core\Analysis\PersonFit;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Results\Api\View\FigureView;
use ChalkLadder\Server\Results\Api\View\ModelQuestionView;
use ChalkLadder\Server\Results\Api\View\ModelStudentView;
use ChalkLadder\Server\Results\Api\View\ModelView;

/** The measurement models of a handout, where there are enough answers to fit them. */
final readonly class Models
{
    private const Z = 1.959963984540054;
    private const UNUSUAL = -2.0;

    public function __construct(private Handouts $handouts, private Counting $counting)
    {
    }

    public function show(string $teamId, string $handoutId): ModelView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $counted = $this->counting->columns($handout);
        $taken = array_values(array_filter($counted->questions, Enough::takes(...)));
        $leftOut = array_values(array_map(
            static fn (Question $q): string => $handout->edition->title($q->id),
            array_filter($counted->questions, static fn (Question $q): bool => !Enough::takes($q)),
        ));
        $n = count($counted->students);
        $none = static fn (int $tell, string $why): ModelView => new ModelView($n, $tell, [], [], $leftOut, Rasch::FORMULA, $why);
        $missing = Enough::missingForMap(count($taken), null);
        if ($missing !== null) {
            return $none(0, $missing);
        }
        $data = Binary::of($taken, $n);
        $tell = count($data->informative()['rows']);
        $missing = Enough::missingForMap(count($taken), $tell);
        if ($missing !== null) {
            return $none($tell, $missing);
        }
        $fit = Rasch::of($data);
        $slopes = Enough::forSlopes($tell) ? TwoParameter::of($data) : null;
        $guttman = PersonFit::guttman($data);
        $known = array_keys(array_filter($fit->questions, static fn (array $q): bool => $q['difficulty'] !== null));
        $difficulties = array_map(static fn (int $i): float => $fit->questions[$i]['difficulty'] ?? 0.0, $known);
        $questions = [];
        foreach ($fit->questions as $i => $q) {
            $reached = count(array_filter(array_column($data->rows, $i), static fn (?int $x): bool => $x !== null));
            $questions[] = new ModelQuestionView(
                $q['id'],
                $handout->edition->numbers()[$q['id']] ?? 0,
                $handout->edition->title($q['id']),
                FigureView::of(self::estimate($q['difficulty'], $q['se'], $reached, Rasch::FORMULA, $q['note'])),
                $q['infit'],
                $q['outfit'],
                FigureView::of(self::estimate(
                    $slopes?->questions[$i]['slope'],
                    $slopes?->questions[$i]['se']['slope'] ?? null,
                    $n,
                    TwoParameter::FORMULA,
                    $slopes === null ? sprintf('Slopes are fitted from %d students.', Enough::SLOPES_FROM) : $slopes->note,
                )),
                $q['note'],
            );
        }
        $students = [];
        foreach ($counted->students as $s => $student) {
            $ability = $fit->abilities[$s];
            $row = array_map(static fn (int $i): ?int => $data->rows[$s][$i], $known);
            $pattern = $ability === null ? Figure::missing(
                count($row),
                '',
                'All or nothing is right, so there is no pattern.',
            ) : PersonFit::standardised($row, $difficulties, $ability);
            $students[] = new ModelStudentView(
                $student->studentId,
                $student->name,
                FigureView::of(self::ability($row, $difficulties, $ability, $fit->abilityErrors[$s])),
                FigureView::of($pattern),
                FigureView::of($guttman[$s]),
                $pattern->value !== null && $pattern->value < self::UNUSUAL,
            );
        }

        return new ModelView($n, $fit->counted, $questions, $students, $leftOut, Rasch::FORMULA, $fit->note);
    }

    /**
     * @param list<int|null> $row
     * @param list<float>    $difficulties
     */
    private static function ability(array $row, array $difficulties, ?float $ability, ?float $error): Figure
    {
        $answered = array_filter($row, is_int(...));
        $n = count($answered);
        if ($ability !== null || $n === 0) {
            return self::estimate(
                $ability,
                $error,
                $n,
                'Ability in logits on the scale of the difficulties, by maximum likelihood at the student’s score.',
                'No question of the map was answered.',
            );
        }
        // Maximum likelihood would lie beyond the scale.
        $steps = array_map(static fn (int $i): array => [$difficulties[$i]], array_keys($answered));
        [$value, $se] = Warm::estimate($steps, array_sum($answered));

        return self::estimate($value, $se, $n, 'Ability in logits for all or nothing right, by Warm’s weighted likelihood (1989).', null);
    }

    private static function estimate(?float $value, ?float $se, int $n, string $formula, ?string $why): Figure
    {
        return $value === null
            ? Figure::missing($n, $formula, $why ?? 'It cannot be told.')
            : new Figure(
                $value,
                $n,
                $formula.' 95 % interval by its standard error.',
                $se === null ? null : $value - self::Z * $se,
                $se === null ? null : $value + self::Z * $se,
            );
    }
}
