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

/** The wall of a lesson: a question, how it splits, before and after a talk. No name ever stands on it. */
final readonly class Walls
{
    public function __construct(
        private Handouts $handouts,
        private WallRepository $walls,
        private OneQuestionRows $rows,
        private WallFacts $facts,
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
        [$picks, $answered] = $item === null || $entry === null ? [[], 0] : $this->picks($handout, $entry, $item);
        $first = $item === null || $entry === null ? null : $wall?->firstCount($entry);
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
                    $first === null ? null : self::times($one->id, $first),
                    self::times($one->id, $picks),
                    $keyShown ? $one->key : null,
                ),
                $item->rule->alternatives(),
            ),
            $answered,
            $first === null ? null : count($first),
            $keyShown,
        );
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

    /** @param array<string, list<string>> $picks by student */
    private static function times(string $id, array $picks): int
    {
        return count(array_filter($picks, static fn (array $one): bool => in_array($id, $one, true)));
    }
}
