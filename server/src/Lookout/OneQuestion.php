<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\Keyless;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Picks;
use ChalkLadder\Core\Item\PlainText;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Item\Verdict;
use ChalkLadder\Core\Marking\LookAlike;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Lookout\Api\View\AnswerGroupView;
use ChalkLadder\Server\Lookout\Api\View\OneAnswerView;
use ChalkLadder\Server\Lookout\Api\View\OneQuestionView;
use ChalkLadder\Server\Lookout\Api\View\ShiftView;
use ChalkLadder\Server\Lookout\ReadModel\OneQuestionRows;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;

/**
 * One question of a running handout: split over its options, or its answers grouped alike.
 *
 * @phpstan-import-type OneRow from OneQuestionRows
 */
final readonly class OneQuestion
{
    /** Characters of an answer that stand for a group of them. */
    private const LABEL = 400;

    public function __construct(private Handouts $handouts, private OneQuestionRows $rows, private Walls $walls, private Terms $terms)
    {
    }

    public function show(string $teamId, string $handoutId, string $entry): OneQuestionView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $edition = $handout->edition;
        $item = $edition->item($entry) ?? throw Problem::notFound('The question');
        $given = $views = [];
        $shift = $this->walls->shift($teamId, $handout, $entry, $item);
        foreach ($this->rows->of($handoutId, $entry) as $row) {
            $own = $edition->own($entry, $row['seed'], $row['try'])->item ?? $item;
            $response = ResponseReader::fromArray(Json::decode($row['value']));
            $credit = $row['credit'] === null ? null : BigRational::of($row['credit']);
            $code = self::code($row['verdict'], $credit, $row['by_hand']);
            $words = $response->isBlank() ? '' : $own->rule->inWords($response);
            $views[] = new OneAnswerView(
                $row['student_id'],
                $code,
                $words,
                Moment::iso($row['saved_at']),
                $response->isBlank() ? null : $response->toArray(),
            );
            if ($code !== 'blank') {
                $outcome = new Outcome($credit, Verdict::from($row['verdict']), $row['line'], $row['read_as']);
                $given[] = [$response, $outcome, (string) $credit, $row['student_id'], $words, $code];
            }
        }

        return new OneQuestionView(
            $entry,
            $edition->numbers()[$entry] ?? 0,
            $edition->title($entry),
            $item->writtenFace(),
            $views,
            $item->rule->alternatives() === [] ? self::alike($item, $given) : $this->split($teamId, $item, $given),
            $shift === null ? null : ShiftView::of($shift),
            $this->walls->hands($teamId, $handoutId, $entry, $item),
            self::keyless($item),
        );
    }

    /** @return array<string, string>|null letters that may be the key, by id, while that is still to be given; none where it is typed */
    public static function keyless(?Item $item): ?array
    {
        return $item?->rule instanceof Keyless ? array_column($item->rule->alternatives(), 'letter', 'id') : null;
    }

    /** How an answer stands, as the picture says it. */
    public static function code(string $verdict, ?BigRational $credit, bool $byHand): string
    {
        return match (true) {
            $credit === null => 'waits',
            $verdict === Verdict::None->value && !$byHand => 'blank',
            $verdict === Verdict::Said->value => Verdict::Said->value,
            default => Verdict::ofCredit($credit)->value,
        };
    }

    /**
     * @param list<array{\ChalkLadder\Core\Item\Response, Outcome, string, string, string, string}> $given
     *
     * @return list<AnswerGroupView>
     */
    private function split(string $teamId, Item $item, array $given): array
    {
        $names = $this->terms->misconceptionNames($teamId);
        $alternatives = $item->rule->alternatives();
        $ids = array_column($alternatives, 'id');
        $picked = [];
        foreach ($given as [$response, $outcome, , $student]) {
            foreach (Picks::of($response, $outcome->line, $ids) as $id) {
                $picked[$id][] = $student;
            }
        }
        $groups = [];
        foreach ($alternatives as $one) {
            $groups[] = new AnswerGroupView(
                $one->letter,
                PlainText::of($one->text),
                $one->key ? 'right' : 'wrong',
                $picked[$one->id] ?? [],
                $names[$one->misconception ?? ''] ?? '',
            );
        }

        return $groups;
    }

    /**
     * @param list<array{\ChalkLadder\Core\Item\Response, Outcome, string, string, string, string}> $given
     *
     * @return list<AnswerGroupView>
     */
    private static function alike(Item $item, array $given): array
    {
        $sets = LookAlike::answers($item->rule, array_map(static fn (array $g): array => [$g[0], $g[1], $g[2]], $given));

        return array_map(static fn (array $places): AnswerGroupView => new AnswerGroupView(
            '',
            mb_strimwidth($given[$places[0]][4], 0, self::LABEL, '…'),
            $given[$places[0]][5],
            array_map(static fn (int $place): string => $given[$place][3], $places),
            '',
        ), $sets);
    }
}
