<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Figure;
use ChalkLadder\Core\Analysis\Model\Binary;
use ChalkLadder\Core\Analysis\Model\Enough;
use ChalkLadder\Core\Analysis\Model\PartialCredit;
use ChalkLadder\Core\Analysis\Model\Rasch;
use ChalkLadder\Core\Analysis\Model\Steps;
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
        $title = static fn (Question $q): string => $handout->edition->title($q->id);
        $taken = array_values(array_filter($counted->questions, Enough::isMarked(...)));
        $leftOut = array_values(array_map(
            static fn (Question $q): string => sprintf('%s (waits for a marker)', $title($q)),
            array_filter($counted->questions, static fn (Question $q): bool => !Enough::isMarked($q)),
        ));
        $n = count($counted->students);
        $whole = array_values(array_filter($taken, Enough::isRightOrWrong(...)));
        $graded = count($whole) < count($taken) ? $this->graded($taken, $n) : null;
        if ($graded?->note !== null) {
            $part = array_filter($taken, static fn (Question $q): bool => !Enough::isRightOrWrong($q));
            array_push($leftOut, ...array_map(static fn (Question $q): string => sprintf('%s (%s)', $title($q), $graded->note), $part));
            [$taken, $graded] = [$whole, null];
        }
        $formula = $graded === null ? Rasch::FORMULA : PartialCredit::FORMULA;
        $none = static fn (int $tell, string $why): ModelView => new ModelView($n, $tell, [], [], $leftOut, $formula, $why);
        $missing = Enough::missingForMap(count($taken), null);
        if ($missing !== null) {
            return $none(0, $missing);
        }
        $data = Binary::of($whole, $n);
        $tell = $graded->counted ?? count($data->informative()['rows']);
        $missing = Enough::missingForMap(count($taken), $tell);
        if ($missing !== null) {
            return $none($tell, $missing);
        }
        // How right-or-wrong questions fit, and whose pattern is odd, is told among those alone.
        $fit = Rasch::of($data);
        $slopes = Enough::forSlopes($tell) ? TwoParameter::of($data) : null;
        $place = array_flip($data->ids);
        $questions = [];
        foreach ($taken as $t => $question) {
            $i = $place[$question->id] ?? null;
            $rasch = $i === null ? null : $fit->questions[$i];
            $steps = $graded?->questions[$t];
            $reached = count(array_filter(array_map($question->counts(...), array_keys($question->cells)), is_float(...)));
            $difficulty = $steps['difficulty'] ?? $rasch['difficulty'] ?? null;
            // The error of a mean of steps is not that of a step.
            $error = $steps === null ? $rasch['se'] ?? null : (count($steps['se']) === 1 ? $steps['se'][0] : null);
            $note = $steps === null ? $rasch['note'] ?? null : $steps['note'];
            $questions[] = new ModelQuestionView(
                $question->id,
                $handout->edition->numbers()[$question->id] ?? 0,
                $title($question),
                FigureView::of(self::estimate($difficulty, $error, $reached, $formula, $note)),
                count($steps['thresholds'] ?? []) > 1 ? $steps['thresholds'] : [],
                $rasch['infit'] ?? null,
                $rasch['outfit'] ?? null,
                FigureView::of(self::estimate(
                    $i === null ? null : $slopes?->questions[$i]['slope'],
                    $i === null ? null : $slopes?->questions[$i]['se']['slope'],
                    $n,
                    TwoParameter::FORMULA,
                    match (true) {
                        $i === null => 'Slopes are fitted to what is right or wrong as a whole.',
                        $slopes === null => sprintf('Slopes are fitted from %d students.', Enough::SLOPES_FROM),
                        default => $slopes->note,
                    },
                )),
                $note,
            );
        }

        $students = $this->students($counted, $data, $fit, $graded);

        return new ModelView($n, $tell, $questions, $students, $leftOut, $formula, $graded === null ? $fit->note : null);
    }

    /** @param list<Question> $taken */
    private function graded(array $taken, int $students): PartialCredit
    {
        return PartialCredit::of(array_map(static fn (Question $q): string => $q->id, $taken), Steps::of($taken, $students));
    }

    /** @return list<ModelStudentView> */
    private function students(Columns $counted, Binary $data, Rasch $fit, ?PartialCredit $graded): array
    {
        $guttman = PersonFit::guttman($data);
        $known = array_keys(array_filter($fit->questions, static fn (array $q): bool => $q['difficulty'] !== null));
        $difficulties = array_map(static fn (int $i): float => $fit->questions[$i]['difficulty'] ?? 0.0, $known);
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
                FigureView::of($graded === null
                    ? self::ability($row, $difficulties, $ability, $fit->abilityErrors[$s])
                    : self::estimate(
                        $graded->abilities[$s],
                        $graded->abilityErrors[$s],
                        count(array_filter($counted->questions, static fn (Question $q): bool => $q->counts($s) !== null)),
                        'Ability in logits on the scale of the steps, by Warm’s weighted likelihood (1989).',
                        'No question of the map was answered.',
                    )),
                FigureView::of($pattern),
                FigureView::of($guttman[$s]),
                $pattern->value !== null && $pattern->value < self::UNUSUAL,
            );
        }

        return $students;
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
