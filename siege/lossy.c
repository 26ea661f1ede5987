/*
 * A disk that forgets at a power cut: preloaded into a database server, it copies what is written under LOSSY_FROM to the
 * directory LOSSY_TO only when the server asks for a flush (fsync, fdatasync). After a kill, LOSSY_TO holds what a disk
 * would hold that keeps nothing but what was flushed. Names (made, renamed, removed) are kept at once.
 */
#define _GNU_SOURCE
#include <dlfcn.h>
#include <errno.h>
#include <fcntl.h>
#include <limits.h>
#include <pthread.h>
#include <stdarg.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <sys/stat.h>
#include <sys/types.h>
#include <sys/uio.h>
#include <unistd.h>

#define FILES 4096

struct range {
  off_t from, to;
  struct range *next;
};

struct file {
  dev_t dev;
  ino_t ino;
  struct range *dirty;
};

static pthread_mutex_t lock = PTHREAD_MUTEX_INITIALIZER;
static struct file files[FILES];
static int known;
static const char *from, *to;

static void *real(const char *name) {
  return dlsym(RTLD_NEXT, name);
}

__attribute__((constructor)) static void begin(void) {
  from = getenv("LOSSY_FROM");
  to = getenv("LOSSY_TO");
}

/* Where a path is kept; NULL for one that is not watched. */
static const char *kept(const char *path, char *into) {
  if (!from || !to) return NULL;
  char full[PATH_MAX];
  if (path[0] != '/') {
    if (!getcwd(full, sizeof full)) return NULL;
    strncat(full, "/", sizeof full - strlen(full) - 1);
    strncat(full, path[0] == '.' && path[1] == '/' ? path + 2 : path, sizeof full - strlen(full) - 1);
  } else {
    snprintf(full, sizeof full, "%s", path);
  }
  size_t length = strlen(from);
  if (strncmp(full, from, length) != 0 || (full[length] != '/' && full[length] != 0)) return NULL;
  snprintf(into, PATH_MAX, "%s%s", to, full + length);
  return into;
}

static const char *kept_fd(int fd, char *into) {
  char link[64], path[PATH_MAX];
  snprintf(link, sizeof link, "/proc/self/fd/%d", fd);
  ssize_t length = readlink(link, path, sizeof path - 1);
  if (length < 0) return NULL;
  path[length] = 0;
  return kept(path, into);
}

static struct file *file_of(int fd) {
  struct stat s;
  if (fstat(fd, &s) != 0 || !S_ISREG(s.st_mode)) return NULL;
  for (int i = 0; i < known; i++)
    if (files[i].ino == s.st_ino && files[i].dev == s.st_dev) return &files[i];
  if (known == FILES) abort();
  files[known] = (struct file){s.st_dev, s.st_ino, NULL};
  return &files[known++];
}

static void wrote(int fd, off_t at, ssize_t length) {
  char path[PATH_MAX];
  if (length <= 0 || !from || !kept_fd(fd, path)) return;
  int error = errno;
  pthread_mutex_lock(&lock);
  struct file *file = file_of(fd);
  if (file) {
    struct range *last = file->dirty;
    if (last && at <= last->to && at + length >= last->from) {
      if (at < last->from) last->from = at;
      if (at + length > last->to) last->to = at + length;
    } else {
      struct range *range = malloc(sizeof *range);
      *range = (struct range){at, at + length, last};
      file->dirty = range;
    }
  }
  pthread_mutex_unlock(&lock);
  errno = error;
}

static void flushed(int fd) {
  char path[PATH_MAX];
  if (!from || !kept_fd(fd, path)) return;
  int error = errno;
  pthread_mutex_lock(&lock);
  struct file *file = file_of(fd);
  if (file) {
    int into = ((int (*)(const char *, int, ...))real("open64"))(path, O_WRONLY | O_CREAT, 0600);
    char link[64];
    snprintf(link, sizeof link, "/proc/self/fd/%d", fd);
    int out = ((int (*)(const char *, int, ...))real("open64"))(link, O_RDONLY);
    if (into < 0 || out < 0) abort();
    static char buffer[1 << 16];
    ssize_t (*put)(int, const void *, size_t, off64_t) =
        (ssize_t (*)(int, const void *, size_t, off64_t))real("pwrite64");
    while (file->dirty) {
      struct range *range = file->dirty;
      for (off_t at = range->from; at < range->to;) {
        size_t most = range->to - at < (off_t)sizeof buffer ? (size_t)(range->to - at) : sizeof buffer;
        ssize_t got = pread(out, buffer, most, at);
        if (got <= 0) break;
        if (put(into, buffer, got, at) != got) abort();
        at += got;
      }
      file->dirty = range->next;
      free(range);
    }
    struct stat s;
    if (fstat(fd, &s) == 0 && ftruncate(into, s.st_size) != 0) abort();
    close(into);
    close(out);
  }
  pthread_mutex_unlock(&lock);
  errno = error;
}

ssize_t pwrite64(int fd, const void *data, size_t length, off64_t at) {
  ssize_t done = ((ssize_t (*)(int, const void *, size_t, off64_t))real("pwrite64"))(fd, data, length, at);
  wrote(fd, at, done);
  return done;
}

ssize_t pwrite(int fd, const void *data, size_t length, off_t at) {
  return pwrite64(fd, data, length, at);
}

ssize_t write(int fd, const void *data, size_t length) {
  ssize_t done = ((ssize_t (*)(int, const void *, size_t))real("write"))(fd, data, length);
  if (done > 0 && from) wrote(fd, lseek(fd, 0, SEEK_CUR) - done, done);
  return done;
}

ssize_t pwritev64(int fd, const struct iovec *parts, int count, off64_t at) {
  ssize_t done = ((ssize_t (*)(int, const struct iovec *, int, off64_t))real("pwritev64"))(fd, parts, count, at);
  wrote(fd, at, done);
  return done;
}

int fsync(int fd) {
  int done = ((int (*)(int))real("fsync"))(fd);
  if (done == 0) flushed(fd);
  return done;
}

int fdatasync(int fd) {
  int done = ((int (*)(int))real("fdatasync"))(fd);
  if (done == 0) flushed(fd);
  return done;
}

int rename(const char *old, const char *new) {
  char a[PATH_MAX], b[PATH_MAX];
  int (*move)(const char *, const char *) = (int (*)(const char *, const char *))real("rename");
  int done = move(old, new);
  if (done == 0 && kept(old, a) && kept(new, b)) move(a, b);
  return done;
}

int unlink(const char *path) {
  char a[PATH_MAX];
  int (*gone)(const char *) = (int (*)(const char *))real("unlink");
  int done = gone(path);
  if (done == 0 && kept(path, a)) gone(a);
  return done;
}

int mkdir(const char *path, mode_t mode) {
  char a[PATH_MAX];
  int (*make)(const char *, mode_t) = (int (*)(const char *, mode_t))real("mkdir");
  int done = make(path, mode);
  if (done == 0 && kept(path, a)) make(a, mode);
  return done;
}
