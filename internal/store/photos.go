package store

import (
	"archive/zip"
	"crypto/sha256"
	"encoding/hex"
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"time"
)

// photoName is a photo's name in its folder: what is in it, hashed, so that none is written twice
// and none can be put elsewhere.
var photoName = regexp.MustCompile(`^[0-9a-f]{64}\.jpg$`)

// photosKept is how long a picture stays that no batch has any more: until its deletion can no
// longer be taken back.
const photosKept = undosFor + 24*time.Hour

// mostPhotos are the photos of one batch.
const mostPhotos = 12

// ErrManyPhotos says that a batch has as many photos as it can.
var ErrManyPhotos = errors.New("a batch has at most 12 photos")

func (s *Store) photosDir() string { return s.path + ".photos" }

// AddPhoto keeps a picture of a batch, as it is read.
func (s *Store) AddPhoto(batchID int64, picture io.Reader, width, height int) (*Photo, error) {
	if _, err := s.Batch(batchID); err != nil {
		return nil, err
	}
	var there int64
	if err := s.db.Model(&Photo{}).Where("batch_id = ?", batchID).Count(&there).Error; err != nil {
		return nil, err
	}
	if there >= mostPhotos {
		return nil, ErrManyPhotos
	}
	name, err := s.putPicture(picture)
	if err != nil {
		return nil, err
	}
	p := Photo{BatchID: batchID, File: name, Width: width, Height: height, CreatedAt: s.now()}
	return &p, s.db.Create(&p).Error
}

// putPicture writes a picture beside the kitchen's file, whole or not at all, and names it.
func (s *Store) putPicture(picture io.Reader) (name string, err error) {
	if err := os.MkdirAll(s.photosDir(), 0o700); err != nil {
		return "", err
	}
	file, err := os.CreateTemp(s.photosDir(), "new-")
	if err != nil {
		return "", err
	}
	defer func() { _ = os.Remove(file.Name()) }()
	hash := sha256.New()
	_, err = io.Copy(io.MultiWriter(file, hash), picture)
	if err := errors.Join(err, file.Sync(), file.Close()); err != nil {
		return "", err
	}
	name = hex.EncodeToString(hash.Sum(nil)) + ".jpg"
	return name, os.Rename(file.Name(), filepath.Join(s.photosDir(), name))
}

// Photos are those of a batch, the earliest first.
func (s *Store) Photos(batchID int64) ([]Photo, error) {
	return list[Photo](s.db.Where("batch_id = ?", batchID).Order("id"))
}

// OpenPhoto opens a picture to be read.
func (s *Store) OpenPhoto(id int64) (*os.File, error) {
	var p Photo
	if err := found(s.db.First(&p, id).Error); err != nil {
		return nil, err
	}
	file, err := os.Open(filepath.Join(s.photosDir(), p.File))
	if errors.Is(err, os.ErrNotExist) { // of a backup that was restored without its pictures
		return nil, ErrNotFound
	}
	return file, err
}

// DeletePhoto takes a photo out of the record.
func (s *Store) DeletePhoto(id int64) error { return removed(s.db.Delete(&Photo{}, id)) }

// TidyPhotos throws away the pictures that no batch has any more, once their deletion can no
// longer be taken back.
func (s *Store) TidyPhotos() error {
	files, err := os.ReadDir(s.photosDir())
	if errors.Is(err, os.ErrNotExist) {
		return nil
	}
	if err != nil {
		return err
	}
	var kept []string
	if err := s.db.Model(&Photo{}).Distinct().Pluck("file", &kept).Error; err != nil {
		return err
	}
	has := map[string]bool{}
	for _, name := range kept {
		has[name] = true
	}
	for _, f := range files {
		info, err := f.Info()
		if err != nil || has[f.Name()] || s.now().Sub(info.ModTime()) < photosKept {
			continue
		}
		if err := os.Remove(filepath.Join(s.photosDir(), f.Name())); err != nil {
			return err
		}
	}
	return nil
}

// The names in a backup with pictures.
const (
	backupJSON   = "kitchen.json"
	backupPhotos = "photos/"
	mostPicture  = 16 << 20 // bytes of one
)

// BackupZip writes everything with its pictures: the backup as Backup has it, and each picture.
func (s *Store) BackupZip(w io.Writer) error {
	z := zip.NewWriter(w)
	to, err := z.Create(backupJSON)
	if err != nil {
		return err
	}
	if err := s.Backup(to); err != nil {
		return err
	}
	var names []string
	if err := s.db.Model(&Photo{}).Distinct().Order("file").Pluck("file", &names).Error; err != nil {
		return err
	}
	for _, name := range names {
		if err := s.zipPicture(z, name); err != nil {
			return err
		}
	}
	return z.Close()
}

func (s *Store) zipPicture(z *zip.Writer, name string) error {
	file, err := os.Open(filepath.Join(s.photosDir(), name))
	if errors.Is(err, os.ErrNotExist) {
		return nil
	}
	if err != nil {
		return err
	}
	defer func() { _ = file.Close() }()
	to, err := z.CreateHeader(&zip.FileHeader{Name: backupPhotos + name, Method: zip.Store}) // a JPEG gets no smaller
	if err != nil {
		return err
	}
	_, err = io.Copy(to, file)
	return err
}

// RestoreFile is Restore of a backup with or without pictures, told apart by how it begins.
func (s *Store) RestoreFile(file *os.File, check func(*Store) error) (kept string, err error) {
	var start [2]byte
	if _, err := file.ReadAt(start[:], 0); err != nil || string(start[:]) != "PK" {
		return s.Restore(file, check)
	}
	info, err := file.Stat()
	if err != nil {
		return "", err
	}
	z, err := zip.NewReader(file, info.Size())
	if err != nil {
		return "", fmt.Errorf("%w: %w", ErrNotBackup, err)
	}
	in, err := z.Open(backupJSON)
	if err != nil {
		return "", fmt.Errorf("%w: it holds no %s", ErrNotBackup, backupJSON)
	}
	defer func() { _ = in.Close() }()
	if kept, err = s.Restore(in, check); err != nil {
		return "", err
	}
	return kept, s.takePictures(z)
}

// takePictures takes the pictures of an archive. A name that is not that of what is in it, or that
// leads elsewhere, is left out.
func (s *Store) takePictures(z *zip.Reader) error {
	for _, f := range z.File {
		name, ok := strings.CutPrefix(f.Name, backupPhotos)
		if !ok || !photoName.MatchString(name) || f.UncompressedSize64 > mostPicture {
			continue
		}
		in, err := f.Open()
		if err != nil {
			return err
		}
		_, err = s.putPicture(io.LimitReader(in, mostPicture))
		if err := errors.Join(err, in.Close()); err != nil {
			return err
		}
	}
	return nil
}
