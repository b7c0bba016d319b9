<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Media\Api\View\FileView;
use ChalkLadder\Server\Media\Entity\MediaFile;
use ChalkLadder\Server\Media\ReadModel\FileList;
use ChalkLadder\Server\Media\Repository\FileRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Uid\Uuid;

/** Pictures, kept in the database so that no machine's disk is the only copy. */
final readonly class Files
{
    private const LARGEST = 2_000_000;

    public function __construct(
        private FileRepository $files,
        private FileList $list,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function add(StaffUser $who, string $name, string $bytes): FileView
    {
        if (strlen($bytes) > self::LARGEST) {
            throw new Problem(413, 'The picture is too large.', 'At most 2 MB. Make it smaller and try again.');
        }
        $picture = Picture::read($bytes);

        return new FileView($this->store($who->teamId, $picture->mediaType, $name, $picture->bytes), $picture->mediaType);
    }

    /**
     * Keeps bytes whose type is known to be true: an upload that was drawn anew, or a drawing of our own. What the team has
     * already is not kept a second time.
     */
    public function store(string $teamId, string $mediaType, string $name, string $bytes): string
    {
        $known = $this->list->holding($teamId, $bytes);
        if ($known !== null) {
            return $known;
        }

        return $this->transaction->run(function () use ($teamId, $mediaType, $name, $bytes): string {
            $file = new MediaFile($teamId, $mediaType, mb_substr($name, 0, 200), $bytes, $this->clock->now());
            $this->files->add($file);

            return $file->id();
        });
    }

    /** @param list<string> $ids each once */
    public function hasAll(string $teamId, array $ids): bool
    {
        if (array_filter($ids, Uuid::isValid(...)) !== $ids) {
            return false;
        }

        return $ids === [] || $this->files->hasAll($teamId, $ids);
    }

    /** A picture inside a page that is printed; null when the team has no such file. */
    public function dataUri(string $teamId, string $id): ?string
    {
        $file = $this->files->find($teamId, $id);

        return $file === null ? null : 'data:'.$file->mediaType().';base64,'.base64_encode($file->bytes());
    }

    /** Whether the asker may see it has been settled. */
    public function send(string $teamId, string $id): Response
    {
        $file = $this->files->find($teamId, $id) ?? throw Problem::notFound('The file');

        return new Response($file->bytes(), 200, [
            'Content-Type' => $file->mediaType(),
            'Cache-Control' => 'private, max-age=86400, immutable',
            'X-Content-Type-Options' => 'nosniff',
            // Opened on its own, a drawing must not run anything.
            'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; sandbox",
        ]);
    }
}
