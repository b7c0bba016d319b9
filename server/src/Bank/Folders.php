<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Server\Bank\Api\Input\FolderInput;
use ChalkLadder\Server\Bank\Api\Input\FolderItemsInput;
use ChalkLadder\Server\Bank\Api\View\FoldersView;
use ChalkLadder\Server\Bank\Entity\Folder;
use ChalkLadder\Server\Bank\ReadModel\FolderList;
use ChalkLadder\Server\Bank\Repository\FolderRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;

/** Folders of the bank: the team's, which everybody fills and names, and one's own, which nobody else sees. */
final readonly class Folders
{
    private const MOST = 100;

    public function __construct(
        private FolderRepository $folders,
        private FolderList $list,
        private Transaction $transaction,
    ) {
    }

    public function of(StaffUser $who): FoldersView
    {
        return new FoldersView($this->list->of($who->teamId, $who->id));
    }

    public function make(StaffUser $who, FolderInput $input): FoldersView
    {
        $folder = $this->transaction->run(function () use ($who, $input): Folder {
            $name = $this->free($who, $input->name, $input->own, null);
            if (count($this->list->of($who->teamId, $who->id)) >= self::MOST) {
                throw Problem::invalid(['name' => sprintf('There are %d folders already. Drop one first.', self::MOST)]);
            }
            $folder = new Folder($who->teamId, $input->own ? $who->id : null, $name);
            $folder->change($this->questions($who, $input->items), []);
            $this->folders->add($folder);

            return $folder;
        });

        return new FoldersView($this->list->of($who->teamId, $who->id), $folder->id());
    }

    public function rename(StaffUser $who, string $id, FolderInput $input): FoldersView
    {
        $this->transaction->run(function () use ($who, $id, $input): void {
            $folder = $this->seen($who, $id);
            $folder->rename($this->free($who, $input->name, $folder->isOwn(), $id));
        });

        return $this->of($who);
    }

    public function drop(StaffUser $who, string $id): FoldersView
    {
        $this->transaction->run(function () use ($who, $id): void {
            $this->folders->remove($this->seen($who, $id));
        });

        return $this->of($who);
    }

    public function change(StaffUser $who, string $id, FolderItemsInput $input): FoldersView
    {
        $put = $this->transaction->run(function () use ($who, $id, $input): array {
            $folder = $this->seen($who, $id);
            $put = $folder->change($this->questions($who, $input->put), array_map(strtolower(...), $input->take));
            if ($folder->size() > Folder::MOST_ITEMS) {
                throw Problem::invalid(['put' => sprintf('A folder holds %d questions at most.', Folder::MOST_ITEMS)]);
            }

            return $put;
        });

        return new FoldersView($this->list->of($who->teamId, $who->id), put: $put);
    }

    private function seen(StaffUser $who, string $id): Folder
    {
        $folder = $this->folders->findLocked($who->teamId, $id);

        return $folder?->isSeenBy($who->id) === true ? $folder : throw Problem::notFound('The folder');
    }

    /**
     * @param list<string> $ids
     *
     * @return list<string>
     */
    private function questions(StaffUser $who, array $ids): array
    {
        $ids = array_values(array_unique(array_map(strtolower(...), $ids)));
        $found = $this->list->questions($who->teamId, $ids);

        return count($found) === count($ids) ? $ids : throw Problem::notFound('One of the questions');
    }

    private function free(StaffUser $who, string $name, bool $own, ?string $id): string
    {
        $this->list->hold($who->teamId);
        $name = trim($name);
        foreach ($this->list->of($who->teamId, $who->id) as $other) {
            if ($other->id !== $id && $other->own === $own && mb_strtolower($other->name) === mb_strtolower($name)) {
                throw Problem::invalid(['name' => sprintf('There is already one called "%s".', $name)]);
            }
        }

        return $name;
    }
}
