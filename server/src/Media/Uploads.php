<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

use ChalkLadder\Server\Media\Api\Input\UploadInput;
use ChalkLadder\Server\Media\Api\View\UploadView;
use ChalkLadder\Server\Media\Entity\MediaFile;
use ChalkLadder\Server\Media\Entity\Upload;
use ChalkLadder\Server\Media\ReadModel\FileList;
use ChalkLadder\Server\Media\Repository\UploadRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Scheduler\Attribute\AsPeriodicTask;

/**
 * Files come in pieces, so that a lost network costs a piece and not the file. A piece that comes twice is taken once; what
 * is whole is looked at before anybody can see it, and what is refused leaves nothing behind.
 */
final readonly class Uploads
{
    /** Bytes of a piece at most. */
    public const PIECE = 1_000_000;
    /** Of one sitting, and of one member of staff at once: files and bytes. */
    private const MOST_FILES = 60;
    private const MOST_BYTES = 200_000_000;

    public function __construct(
        private UploadRepository $uploads,
        private FileList $list,
        private Files $files,
        private Shelf $shelf,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function begin(Owner $owner, UploadInput $input): UploadView
    {
        $kinds = $input->kinds();
        $largest = max(array_map(static fn (Kind $k): int => $k->largest(), $kinds));
        if ($input->size > $largest) {
            throw new Problem(413, 'The file is too large.', sprintf('At most %d MB. Make it smaller and try again.', $largest / 1_000_000));
        }

        return $this->transaction->run(function () use ($owner, $input, $kinds): UploadView {
            [$files, $bytes] = $this->list->sentBy($owner);
            if ($files >= self::MOST_FILES || $bytes + $input->size > self::MOST_BYTES) {
                throw new Problem(413, 'There is no room for more files here.', sprintf(
                    'At most %d files and %d MB in all.',
                    self::MOST_FILES,
                    self::MOST_BYTES / 1_000_000,
                ));
            }
            $upload = new Upload($owner, mb_substr(trim($input->name), 0, 200), $kinds, $input->size, $this->clock->now());
            $this->uploads->add($upload);

            return UploadView::of($upload, null);
        });
    }

    public function state(Owner $owner, string $id): UploadView
    {
        return $this->seen($owner, $this->uploads->find($owner->teamId, $id));
    }

    /**
     * @param int $at the byte at which the piece begins
     *
     * @throws Problem 409 with what has been received, where it does not begin there
     */
    public function take(Owner $owner, string $id, int $at, string $bytes): UploadView
    {
        [$view, $refused] = $this->transaction->run(function () use ($owner, $id, $at, $bytes): array {
            $upload = $this->own($owner, $this->uploads->findLocked($owner->teamId, $id));
            $length = strlen($bytes);
            if ($upload->isOnItsWay() && $at === $upload->received()) {
                if ($length === 0 || $length > self::PIECE || $at + $length > $upload->size()) {
                    throw Problem::invalid(['piece' => 'This piece does not belong here.']);
                }
                $this->shelf->write($upload->pieceKey($at), $bytes);
                $upload->take($length);
                if ($upload->isWhole()) {
                    $this->finish($owner, $upload);
                }
            } elseif ($at > $upload->received()) {
                throw Problem::conflict('A piece is missing.', 'Go on from where it stopped.', ['received' => $upload->received()]);
            }
            $why = $upload->refusedFor();

            return [$why === null ? $this->seen($owner, $upload) : null, $why];
        });

        return $view ?? throw Problem::invalid(['file' => $refused ?? '']);
    }

    public function cancel(Owner $owner, string $id): void
    {
        $this->transaction->run(function () use ($owner, $id): void {
            $upload = $this->own($owner, $this->uploads->findLocked($owner->teamId, $id));
            if ($upload->isOnItsWay()) {
                $upload->refuse('It was given up.');
                $this->shelf->dropAll(Upload::folderOf($id));
            }
        });
    }

    /** What was not finished within a day is given up; bytes that no file holds any more go. */
    #[AsPeriodicTask('10 minutes', schedule: 'clock')]
    public function tidy(): void
    {
        foreach ($this->list->forgetUploads(Moment::stored($this->clock->now()->modify('-1 day'))) as $id) {
            $this->shelf->dropAll(Upload::folderOf($id));
        }
        foreach ($this->list->dropped() as $gone) {
            $this->transaction->run(fn () => $this->drop($gone['team'], $gone['hash']));
        }
    }

    private function drop(string $team, string $hash): void
    {
        $this->list->lock($team, $hash);
        if (!$this->list->letGo($team, $hash)) {
            return;
        }
        $key = MediaFile::keyOf($team, $hash);
        $this->shelf->drop($key);
        for ($page = 1; $this->shelf->holds("$key-$page.png"); ++$page) {
            $this->shelf->drop("$key-$page.png");
        }
    }

    private function finish(Owner $owner, Upload $upload): void
    {
        $folder = sys_get_temp_dir().'/chalk-upload-'.bin2hex(random_bytes(8));
        $disk = new Filesystem();
        $disk->mkdir($folder, 0o700);
        try {
            $this->shelf->join($this->pieces($upload), "$folder/whole");
            $content = Content::read("$folder/whole", $upload->kinds(), $folder);
            $upload->became($this->files->keep($owner->teamId, $owner->sittingId, $upload->name(), $content));
        } catch (Problem $problem) {
            $upload->refuse($problem->detail);
        } finally {
            $disk->remove($folder);
        }
        $this->shelf->dropAll(Upload::folderOf($upload->id()));
    }

    /** @return list<string> */
    private function pieces(Upload $upload): array
    {
        $keys = $this->shelf->names(Upload::folderOf($upload->id()));
        sort($keys);

        return $keys;
    }

    private function own(Owner $owner, ?Upload $upload): Upload
    {
        return $upload !== null && $upload->isOf($owner) ? $upload : throw Problem::notFound('The upload');
    }

    private function seen(Owner $owner, ?Upload $upload): UploadView
    {
        $upload = $this->own($owner, $upload);
        $file = $upload->fileId();
        if ($file !== null) {
            // Within the act that has just made it, it is not written yet.
            $this->transaction->write();
        }

        return UploadView::of($upload, $file === null ? null : $this->files->view($owner->teamId, $file));
    }
}
