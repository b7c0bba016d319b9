<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout;

use ChalkLadder\Core\Analysis\Shift;
use ChalkLadder\Core\Item\Alternative;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\Picks;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Api\View\HandsView;
use ChalkLadder\Server\Lookout\Api\View\RoomCountView;
use ChalkLadder\Server\Lookout\Api\View\WallClimbView;
use ChalkLadder\Server\Lookout\Api\View\WallOptionView;
use ChalkLadder\Server\Lookout\Api\View\WallView;
use ChalkLadder\Server\Lookout\Entity\Wall;
use ChalkLadder\Server\Lookout\ReadModel\OneQuestionRows;
use ChalkLadder\Server\Lookout\ReadModel\WallFacts;
use ChalkLadder\Server\Lookout\Repository\WallRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Sitting\Climbs;

/** The wall of a lesson: a question, how it splits, before and after a talk. No name ever stands on it. */
final readonly class Walls
{
    public function __construct(
        private Handouts $handouts,
        private WallRepository $walls,
        private OneQuestionRows $rows,
        private WallFacts $facts,
        private Climbs $climbs,
        private Push $push,
        private Transaction $transaction,
    ) {
    }

    public function show(string $teamId, string $handoutId): WallView
    {
        // Before anything else is read: what comes later is told by a message.
        $live = $this->push->last(Push::teachers($handoutId));
        $handout = $this->handouts->find($teamId, $handoutId);
        $wall = $this->walls->find($teamId, $handoutId);
        $entry = $wall?->entry();
        $item = $entry === null ? null : $handout->edition->item($entry);
        $facts = $this->facts->of($handoutId);
        $hands = $item === null || $entry === null ? null : $wall?->hands($entry);
        [$first, $now, $answeredFirst, $answered] = $item === null || $entry === null
            ? [null, [], null, 0]
            : ($hands === null ? $this->onDevices($handout, $entry, $item, $wall) : self::raised($hands));
        $keyShown = $item !== null && $wall?->isKeyShown() === true;

        return new WallView(
            $live,
            $handout->title,
            array_keys($facts->codes),
            array_values($facts->codes),
            $facts->expected,
            $facts->joined,
            $facts->done,
            $item === null ? null : $entry,
            $handout->edition->numbers()[$entry ?? ''] ?? 0,
            $item->prompt ?? '',
            $item === null ? [] : array_map(
                static fn (Alternative $one): WallOptionView => new WallOptionView(
                    $one->letter,
                    $one->text,
                    $first === null ? null : $first[$one->id] ?? 0,
                    $now[$one->id] ?? 0,
                    $keyShown ? $one->key : null,
                ),
                $item->rule->alternatives(),
            ),
            $answered,
            $answeredFirst,
            $hands !== null,
            $keyShown,
            WallClimbView::of($this->climbs->goingOn($handout)),
        );
    }

    /** @return array{array<array-key, int>|null, array<array-key, int>, int|null, int} picks of each option before the talk and now, and by how many */
    private function onDevices(HandedOut $handout, string $entry, Item $item, ?Wall $wall): array
    {
        [$picks, $answered] = $this->picks($handout, $entry, $item);
        $first = $wall?->firstCount($entry);

        return [$first === null ? null : self::times($first), self::times($picks), $first === null ? null : count($first), $answered];
    }

    /**
     * @param array{array<array-key, int>, array<array-key, int>|null} $hands
     *
     * @return array{array<array-key, int>|null, array<array-key, int>, int|null, int} as of devices
     */
    private static function raised(array $hands): array
    {
        [$first, $now] = $hands;

        return $now === null
            ? [null, $first, null, (int) array_sum($first)]
            : [$first, $now, (int) array_sum($first), (int) array_sum($now)];
    }

    public function put(StaffUser $who, string $handoutId, ?string $entry, bool $key): WallView
    {
        return $this->change($who, $handoutId, static fn (Wall $wall, HandedOut $handout) => $wall->show(
            $entry !== null && $handout->edition->has($entry) ? $entry : null,
            $key,
        ));
    }

    /** Keeps how a question stands now, to be held against how it stands after the talk. Done again, it is counted anew. */
    public function count(StaffUser $who, string $handoutId, string $entry): WallView
    {
        return $this->change($who, $handoutId, function (Wall $wall, HandedOut $handout) use ($entry): void {
            $item = $handout->edition->item($entry) ?? throw Problem::notFound('The question');
            if ($item->rule->alternatives() === []) {
                throw Problem::conflict('Nothing is picked from here.', 'Counts are kept of questions with options or places.');
            }
            $wall->count($entry, $this->picks($handout, $entry, $item)[0]);
        });
    }

    public function forget(StaffUser $who, string $handoutId, string $entry): WallView
    {
        return $this->change($who, $handoutId, static fn (Wall $wall) => $wall->forget($entry));
    }

    /**
     * Hands that were raised, by letter of the option; done again, they are counted anew.
     *
     * @param array<array-key, int>      $first
     * @param array<array-key, int>|null $now   after the talk; null before it
     */
    public function raise(StaffUser $who, string $handoutId, string $entry, array $first, ?array $now): WallView
    {
        return $this->change($who, $handoutId, static function (Wall $wall, HandedOut $handout) use ($entry, $first, $now): void {
            $item = $handout->edition->item($entry) ?? throw Problem::notFound('The question');
            $wall->raise($entry, self::byOption($item, $first, 'first'), $now === null ? null : self::byOption($item, $now, 'now'));
        });
    }

    public function lower(StaffUser $who, string $handoutId, string $entry): WallView
    {
        return $this->change($who, $handoutId, static fn (Wall $wall) => $wall->lower($entry));
    }

    /** The hands that were raised for a question; null where none were counted. */
    public function hands(string $teamId, string $handoutId, string $entry, Item $item): ?HandsView
    {
        $hands = $this->walls->find($teamId, $handoutId)?->hands($entry);
        if ($hands === null) {
            return null;
        }

        return new HandsView(self::byLetter($item, $hands[0]), $hands[1] === null ? null : self::byLetter($item, $hands[1]));
    }

    /** What two counts of a question said in a lesson; null where it was not counted there. */
    public function said(string $teamId, HandedOut $handout, string $entry, string $madeAt): ?RoomCountView
    {
        $item = $handout->edition->item($entry);
        $hands = $item === null ? null : $this->walls->find($teamId, $handout->id)?->hands($entry);
        $shift = $item === null || $hands !== null ? null : $this->shift($teamId, $handout, $entry, $item);
        if ($item === null || ($hands === null && $shift === null)) {
            return null;
        }
        if ($shift !== null) {
            $all = $shift->toKey + $shift->fromKey + $shift->keptKey + $shift->keptOther;
            [$firstRight, $first] = [$shift->keptKey + $shift->fromKey, $all];
            [$nowRight, $now] = [$shift->keptKey + $shift->toKey, $all];
        } else {
            [$firstRight, $first] = self::rightOf($item, $hands[0]);
            [$nowRight, $now] = $hands[1] === null ? [null, null] : self::rightOf($item, $hands[1]);
        }

        return new RoomCountView($handout->id, $handout->title, $madeAt, $hands !== null, $firstRight, $first, $nowRight, $now);
    }

    /** What moved at a question since its first count; null where there was none. */
    public function shift(string $teamId, HandedOut $handout, string $entry, Item $item): ?Shift
    {
        $first = $this->walls->find($teamId, $handout->id)?->firstCount($entry);
        $keys = array_filter($item->rule->alternatives(), static fn (Alternative $a): bool => $a->key);

        return $first === null
            ? null
            : Shift::between($first, $this->picks($handout, $entry, $item)[0], array_values(array_column($keys, 'id')));
    }

    /** @param \Closure(Wall, HandedOut): mixed $act */
    private function change(StaffUser $who, string $handoutId, \Closure $act): WallView
    {
        $this->transaction->run(function () use ($who, $handoutId, $act): void {
            $handout = $this->handouts->find($who->teamId, $handoutId);
            $this->facts->hold($handoutId);
            $wall = $this->walls->findLocked($who->teamId, $handoutId);
            if ($wall === null) {
                $wall = new Wall($handoutId, $who->teamId);
                $this->walls->add($wall);
            }
            $act($wall, $handout);
        });
        $this->push->send(Push::teachers($handoutId), ['kind' => 'look']);

        return $this->show($who->teamId, $handoutId);
    }

    /** @return array{array<string, list<string>>, int} ids of what each has picked, by student, and how many have answered */
    private function picks(HandedOut $handout, string $entry, Item $item): array
    {
        $ids = array_column($item->rule->alternatives(), 'id');
        $picks = [];
        $answered = 0;
        foreach ($this->rows->of($handout->id, $entry) as $row) {
            $response = ResponseReader::fromArray(Json::decode($row['value']));
            if ($response->isBlank()) {
                continue;
            }
            ++$answered;
            $picks[$row['student_id']] = Picks::of($response, $row['line'], $ids);
        }

        return [$picks, $answered];
    }

    /**
     * @param array<array-key, int> $count by id of the option
     *
     * @return array{int, int} hands for what is right, and all
     */
    private static function rightOf(Item $item, array $count): array
    {
        $keys = array_column(array_filter($item->rule->alternatives(), static fn (Alternative $a): bool => $a->key), 'id', 'id');

        return [(int) array_sum(array_intersect_key($count, $keys)), (int) array_sum($count)];
    }

    /**
     * @param array<array-key, int> $count by id of the option
     *
     * @return array<string, int>
     */
    private static function byLetter(Item $item, array $count): array
    {
        $by = [];
        foreach ($item->rule->alternatives() as $one) {
            $by[$one->letter] = $count[$one->id] ?? 0;
        }

        return $by;
    }

    /**
     * @param array<array-key, int> $letters
     *
     * @return array<array-key, int> by id of the option
     */
    private static function byOption(Item $item, array $letters, string $field): array
    {
        $ids = array_column($item->rule->alternatives(), 'id', 'letter');
        $count = [];
        foreach ($letters as $letter => $n) {
            $id = $ids[$letter] ?? throw Problem::invalid([$field => sprintf('The question has no option %s.', mb_substr((string) $letter, 0, 8))]);
            $count[$id] = $n;
        }

        return $count;
    }

    /**
     * @param array<string, list<string>> $picks by student
     *
     * @return array<array-key, int> how often each was picked
     */
    private static function times(array $picks): array
    {
        return array_count_values(array_merge(...array_values($picks)));
    }
}
