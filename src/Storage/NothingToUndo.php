<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

final class NothingToUndo extends \RuntimeException {}
