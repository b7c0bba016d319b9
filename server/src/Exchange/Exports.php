<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Item\Verdict;
use ChalkLadder\Core\Marking\Marks;
use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Exchange\ReadModel\ExportReader;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;

/** Responses and marks as CSV; docs/formats/exports.md tells the columns. */
final readonly class Exports
{
    private const RESPONSES = [
        'class',
        'student',
        'attempt',
        'counts',
        'question',
        'title',
        'try',
        'response',
        'read as',
        'verdict',
        'credit',
        'marks',
        'of',
        'marked by',
        'comment',
        'misconceptions',
        'saved at',
        'seconds',
        'confidence',
        'hints opened',
    ];
    private const MARKS = ['class', 'student', 'attempt', 'counts', 'state', 'marks', 'of', 'waiting', 'handed in at', 'returned at'];

    public function __construct(private ExportReader $reader, private Handouts $handouts, private Terms $terms)
    {
    }

    public function name(string $teamId, string $handoutId, string $what): FileName
    {
        return FileName::of(
            $this->handouts->find($teamId, $handoutId)->title,
            $this->handouts->classNames([$handoutId])[$handoutId] ?? [],
            $what,
            'csv',
        );
    }

    public function responses(string $teamId, string $handoutId): string
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $paper = $handout->edition->paper();
        $numbers = $handout->edition->numbers();
        $names = $this->terms->misconceptionNames($teamId);
        $rows = array_values(array_filter(
            $this->reader->responses($handoutId),
            static fn (array $r): bool => isset($numbers[$r['entry']]),
        ));
        // Within an attempt by the number the question has on the paper; sorting is stable.
        $place = array_flip(array_values(array_unique(array_column($rows, 'sitting_id'))));
        usort(
            $rows,
            static fn (array $a, array $b): int => [
                $place[$a['sitting_id']],
                $numbers[$a['entry']],
            ] <=> [$place[$b['sitting_id']], $numbers[$b['entry']]],
        );
        $table = [];
        foreach ($rows as $row) {
            $entry = $row['entry'];
            $item = $handout->edition->own($entry, $row['seed'], $row['try'])->item ?? null;
            if ($item === null) {
                continue;
            }
            $credit = $row['credit'];
            $table[] = [
                $row['classes'] ?? '',
                $row['name'],
                $row['attempt'],
                $row['counts'] ? 'yes' : 'no',
                $numbers[$entry],
                $handout->edition->title($entry),
                $row['try'],
                $item->rule->inWords(ResponseReader::fromArray(Json::decode($row['value']))),
                $row['read_as'],
                match (true) {
                    $credit === null => 'waits for a marker',
                    $row['by_hand'] => Verdict::ofCredit(BigRational::of($credit))->value,
                    default => $row['verdict'],
                },
                $credit ?? '',
                $credit === null ? '' : NumberText::write(Marks::of(
                    Walk::bestCredit($paper, [$row['try'] => $item->afterHints(BigRational::of($credit), $row['hints_opened'])]),
                    $item->points,
                    $handout->markStep,
                )),
                NumberText::write($item->points),
                match (true) {
                    $credit === null => '',
                    $row['by_hand'] => $row['marker'] ?? '',
                    default => 'machine',
                },
                $row['comment'],
                implode('; ', array_map(static fn (string $id): string => $names[$id] ?? '', Json::texts($row['misconceptions']))),
                Moment::iso($row['saved_at']),
                $row['millis'] === null ? '' : sprintf('%.1f', $row['millis'] / 1000),
                $row['confidence'] ?? '',
                $row['hints_opened'],
            ];
        }

        return Spreadsheet::csv(self::RESPONSES, $table);
    }

    public function marks(string $teamId, string $handoutId): string
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $table = [];
        foreach ($this->reader->marks($handout->id) as $row) {
            $table[] = [
                $row['classes'] ?? '',
                $row['name'],
                $row['attempt'],
                $row['counts'] ? 'yes' : 'no',
                $row['state'],
                $row['marks'],
                NumberText::write(Score::of(
                    $handout->edition->paper(),
                    SittingReader::walk($row['walk']),
                    [],
                    $handout->markStep,
                )->possible),
                $row['waiting'],
                Moment::isoOrNull($row['handed_in_at']) ?? '',
                Moment::isoOrNull($row['returned_at']) ?? '',
            ];
        }

        return Spreadsheet::csv(self::MARKS, $table);
    }
}
