/** The devices the program plays on: {@link phalanx.desktop.device.AudioDevices}. */
package phalanx.desktop.device;
