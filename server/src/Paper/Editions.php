<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Paper\Entity\Edition;
use ChalkLadder\Server\Paper\Entity\KeyChange;
use ChalkLadder\Server\Paper\ReadModel\BankChanges;
use ChalkLadder\Server\Paper\ReadModel\EditionReader;
use ChalkLadder\Server\Paper\ReadModel\KeyChangeLine;
use ChalkLadder\Server\Paper\ReadModel\KeyChangeList;
use ChalkLadder\Server\Paper\Repository\EditionRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;

/** Published states of papers, as the other rooms use them, and what becomes of their keys. */
final readonly class Editions
{
    public function __construct(
        private EditionReader $reader,
        private EditionRepository $editions,
        private KeyChangeList $changes,
        private BankChanges $bank,
        private Transaction $transaction,
        private PublishedPapers $published,
        private ClockInterface $clock,
    ) {
    }

    /** @param int|null $rulesVersion saves a query where the caller has just read it */
    public function load(string $id, ?int $rulesVersion = null): PublishedPaper
    {
        return $this->published->load($id, $rulesVersion);
    }

    /** An edition of the team's; another's is absent. */
    public function ofTeam(string $teamId, string $id): ?PublishedPaper
    {
        return $this->editions->find($teamId, $id) === null ? null : $this->load($id);
    }

    /** The latest edition of a paper of the team's; absent where none is published. */
    public function latestOf(string $teamId, string $paperId): ?PublishedPaper
    {
        $latest = $this->reader->latest($paperId);

        return $latest === null ? null : $this->ofTeam($teamId, $latest['id']);
    }

    /** The latest edition of a paper that asks a question; null where none ever did. */
    public function asking(string $paperId, string $entry): ?PublishedPaper
    {
        $id = $this->reader->asking($paperId, $entry);

        return $id === null ? null : $this->load($id);
    }

    /** Whoever changes a key holds the edition until the act ends, and sees it as it is now. */
    public function hold(string $teamId, string $id): PublishedPaper
    {
        $this->editions->findLocked($teamId, $id) ?? throw Problem::notFound('The edition');

        return $this->load($id);
    }

    /**
     * Lays a new rule over a question of an edition that is held. Returns the change's id, by which it can be taken back.
     *
     * @param array<array-key, mixed> $before as it is written
     * @param array<array-key, mixed> $after
     */
    public function changeKey(StaffUser $who, string $editionId, string $entry, array $before, array $after, string $reason): string
    {
        $edition = $this->editions->find($who->teamId, $editionId) ?? throw Problem::notFound('The edition');
        $change = $edition->changeKey($entry, $before, $after, $reason, $who->id, $this->clock->now());
        $this->transaction->write();

        return $change->id();
    }

    /** The edition that a change lies over, held, and the change. */
    public function heldChange(string $teamId, string $changeId): HeldChange
    {
        $edition = $this->editions->ofChange($teamId, $changeId) ?? throw Problem::notFound('The change');

        return new HeldChange($this->load($edition->id()), $changeId);
    }

    public function takeBack(StaffUser $who, HeldChange $held): KeyChange
    {
        $edition = $this->editions->find($who->teamId, $held->edition->id) ?? throw Problem::notFound('The edition');
        $change = $edition->takeBack($held->changeId, $who->id, $this->clock->now());
        $this->transaction->write();

        return $change;
    }

    /** The bank's question says the same as the edition again. */
    public function cameHome(string $editionId, string $entry): void
    {
        $this->transaction->write();
        $this->bank->stamp($editionId, $entry);
    }

    /** @return list<KeyChangeLine> the changes of a question's key, the latest first */
    public function keyChanges(string $editionId, string $entry): array
    {
        return $this->changes->of($editionId, $entry);
    }
}
